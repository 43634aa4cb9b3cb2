package org.ostendum.app.fleetfile;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** All files of a fleet in one. */
final class FleetZip {
    /** Of all files unpacked, bytes. */
    private static final int MOST_BYTES = 20 * 1024 * 1024;

    private FleetZip() {}

    /**
     * What was read.
     *
     * @param ignored names of files that are none of a fleet's
     * @param fault key of the sentence that refuses it; empty for none
     */
    record Unpacked(Map<FleetFile, byte[]> files, List<String> ignored, String fault) {}

    static boolean isZip(byte[] content) {
        return content.length > 3 && content[0] == 'P' && content[1] == 'K' && content[2] == 3 && content[3] == 4;
    }

    static Unpacked read(byte[] content) {
        Map<FleetFile, byte[]> files = new EnumMap<>(FleetFile.class);
        List<String> ignored = new ArrayList<>();
        int left = MOST_BYTES;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(content))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] bytes = zip.readNBytes(left + 1);
                left -= bytes.length;
                if (left < 0) {
                    return new Unpacked(Map.of(), ignored, "fleetfile.zip.large");
                }
                keep(entry, bytes, files, ignored);
            }
        } catch (ZipException | IllegalArgumentException e) {
            return new Unpacked(Map.of(), ignored, "fleetfile.zip.broken");
        } catch (IOException e) {
            return new Unpacked(Map.of(), ignored, "fleetfile.zip.broken");
        }
        return new Unpacked(files, ignored, files.isEmpty() ? "fleetfile.zip.none" : "");
    }

    private static void keep(ZipEntry entry, byte[] bytes, Map<FleetFile, byte[]> files, List<String> ignored) {
        String name = entry.getName().substring(entry.getName().lastIndexOf('/') + 1);
        if (name.isEmpty()) {
            return;
        }
        FleetFile.named(name.replaceFirst("(?i)\\.csv$", ""))
                .ifPresentOrElse(file -> files.put(file, bytes), () -> ignored.add(name));
    }

    /** Writes one file into the archive. */
    interface Writing {
        void write(FleetFile file, Appendable out) throws IOException;
    }

    static void write(OutputStream out, Writing each) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (FleetFile file : FleetFile.values()) {
                zip.putNextEntry(new ZipEntry(file.fileName()));
                StringBuilder text = new StringBuilder();
                each.write(file, text);
                OutputStreamWriter writer = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
                writer.write(text.toString());
                writer.flush();
                zip.closeEntry();
            }
        }
    }
}
