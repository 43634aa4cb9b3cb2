package org.ostendum.app.photo;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Sha256;

/**
 * Takes an uploaded file apart: believes its content, never its name or its declared type. What is kept is painted anew, so
 * that nothing that was hidden in the file comes along.
 */
final class UploadedPhoto {
    static final int MOST_BYTES = 8 * 1024 * 1024;
    /** Width times height beyond which a picture is not unpacked: a small file can unfold to gigabytes. */
    static final long MOST_PIXELS = 40_000_000;

    /** Bytes of a picture in memory. */
    static final long MOST_UNPACKED = 64_000_000;

    private static final int USUAL_BITS = 24;

    private static final int LONGEST_SIDE = 2000;
    private static final int THUMBNAIL_SIDE = 240;
    private static final Set<String> FORMATS = Set.of("jpeg", "png");

    private UploadedPhoto() {}

    /** The picture, or the key of what is wrong with it. */
    record Read(Photos.@Nullable NewPhoto photo, @Nullable String fault) {
        static Read refused(String fault) {
            return new Read(null, fault);
        }
    }

    static Read read(@Nullable String name, byte[] bytes) {
        if (bytes.length == 0) {
            return Read.refused("photo.fault.empty");
        }
        if (bytes.length > MOST_BYTES) {
            return Read.refused("photo.fault.large");
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return Read.refused("photo.fault.type");
            }
            ImageReader reader = readers.next();
            try {
                return read(name, reader, in);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException broken) {
            return Read.refused("photo.fault.broken");
        }
    }

    private static Read read(@Nullable String name, ImageReader reader, ImageInputStream in) throws IOException {
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (!FORMATS.contains(format)) {
            return Read.refused("photo.fault.type");
        }
        reader.setInput(in, true, true);
        if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
            return Read.refused("photo.fault.pixels");
        }
        BufferedImage image = unpack(reader);
        BufferedImage kept = fit(image, LONGEST_SIDE);
        byte[] content = encode(kept, format);
        return new Read(
                new Photos.NewPhoto(
                        cleanName(name),
                        "image/" + format,
                        kept.getWidth(),
                        kept.getHeight(),
                        sha256(content),
                        content,
                        encode(fit(image, THUMBNAIL_SIDE), format)),
                null);
    }

    /** Leaves out rows and columns while it reads. One picture at a time: many at once would need as many times the memory. */
    private static BufferedImage unpack(ImageReader reader) throws IOException {
        ImageTypeSpecifier type = reader.getRawImageType(0);
        int bits = type == null ? USUAL_BITS : type.getColorModel().getPixelSize();
        int each = thinning(reader.getWidth(0), reader.getHeight(0), bits);
        ImageReadParam thinned = reader.getDefaultReadParam();
        thinned.setSourceSubsampling(each, each, 0, 0);
        synchronized (UploadedPhoto.class) {
            return reader.read(0, thinned);
        }
    }

    /** @return of so many rows and columns one is read, so that what is unpacked stays within its limit */
    static int thinning(int width, int height, int bitsOfDot) {
        int each = 1;
        while ((long) (width / each) * (height / each) * bitsOfDot / 8 > MOST_UNPACKED) {
            each++;
        }
        return each;
    }

    private static BufferedImage fit(BufferedImage image, int side) {
        double scale = Math.min(1, (double) side / Math.max(image.getWidth(), image.getHeight()));
        int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
        BufferedImage fitted = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = fitted.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        graphics.drawImage(image, 0, 0, width, height, null);
        graphics.dispose();
        return fitted;
    }

    private static byte[] encode(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** The last part of the name, letters and digits only. */
    static String cleanName(@Nullable String name) {
        String last = name == null ? "" : name.replaceAll("^.*[/\\\\]", "");
        String clean = last.replaceAll("[^\\p{L}\\p{N}. _-]", "_")
                .replaceAll("^\\.+", "")
                .strip();
        return clean.isEmpty() ? "photo" : clean.substring(0, Math.min(120, clean.length()));
    }

    private static String sha256(byte[] bytes) {
        return Sha256.hex(bytes);
    }
}
