package org.ostendum.app.receive;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.springframework.web.util.HtmlUtils;

/**
 * A label of 100 by 50 mm.
 *
 * @param facts voltage, capacity and weight
 * @param read what the square is for
 * @param address that the square leads to
 */
record Label(String code, String serial, String facts, String read, String address) {
    private static final int WIDTH = 100;
    private static final int HEIGHT = 50;
    private static final int SQUARE = 40;
    private static final float POINTS_PER_MM = 72 / 25.4f;
    private static final PDFont BOLD = new PDType1Font(FontName.HELVETICA_BOLD);
    private static final PDFont PLAIN = new PDType1Font(FontName.HELVETICA);

    /** The finest square that carries the address, with acid stains allowed for. */
    private BitMatrix square() {
        try {
            return new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.Q, EncodeHintType.MARGIN, 0));
        } catch (WriterException e) {
            throw new IllegalStateException("No code for " + address, e);
        }
    }

    String svg() {
        BitMatrix square = square();
        double module = (double) SQUARE / square.getWidth();
        StringBuilder dark = new StringBuilder();
        for (int y = 0; y < square.getHeight(); y++) {
            for (int x = 0; x < square.getWidth(); x++) {
                if (square.get(x, y)) {
                    dark.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return """
            <svg xmlns="http://www.w3.org/2000/svg" width="%dmm" height="%dmm" viewBox="0 0 %d %d" font-family="sans-serif">
            <rect width="100%%" height="100%%" fill="#fff"/>
            <path transform="translate(5 5) scale(%.4f)" d="%s"/>
            <text x="50" y="18" font-size="13" font-weight="bold">%s</text>
            <text x="50" y="27" font-size="4.6">%s</text>
            <text x="50" y="34" font-size="4.6">%s</text>
            <text x="50" y="44" font-size="3">%s</text>
            </svg>
            """
                .formatted(
                        WIDTH,
                        HEIGHT,
                        WIDTH,
                        HEIGHT,
                        module,
                        dark,
                        HtmlUtils.htmlEscape(code),
                        HtmlUtils.htmlEscape(serial),
                        HtmlUtils.htmlEscape(facts),
                        HtmlUtils.htmlEscape(read));
    }

    byte[] pdf() throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(WIDTH * POINTS_PER_MM, HEIGHT * POINTS_PER_MM));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                paint(content);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private void paint(PDPageContentStream content) throws IOException {
        BitMatrix square = square();
        float module = SQUARE * POINTS_PER_MM / square.getWidth();
        for (int y = 0; y < square.getHeight(); y++) {
            for (int x = 0; x < square.getWidth(); x++) {
                if (square.get(x, y)) {
                    float bottom = (HEIGHT - 5) * POINTS_PER_MM - (y + 1) * module;
                    content.addRect(5 * POINTS_PER_MM + x * module, bottom, module, module);
                }
            }
        }
        content.fill();
        write(content, BOLD, 34, 18, code);
        write(content, PLAIN, 12, 27, serial);
        write(content, PLAIN, 12, 34, facts);
        write(content, PLAIN, 8, 44, read);
    }

    /** @param down millimetres from the upper edge to the base line */
    private static void write(PDPageContentStream content, PDFont font, float size, float down, String text)
            throws IOException {
        content.beginText();
        content.setFont(font, size);
        content.newLineAtOffset(50 * POINTS_PER_MM, (HEIGHT - down) * POINTS_PER_MM);
        content.showText(text.replaceAll("[^\\x20-\\x7e\\xa0-\\xff]", "?"));
        content.endText();
    }
}
