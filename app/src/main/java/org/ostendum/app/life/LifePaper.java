package org.ostendum.app.life;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.ostendum.app.life.LifeDocument.Part;

/** A life document on paper: A4, as many pages as it takes, each with its number. */
final class LifePaper implements AutoCloseable {
    private static final float LEFT = 50;
    private static final float TOP = 790;
    private static final float BOTTOM = 50;
    private static final float LINE = 13;
    private static final float SIZE = 9;
    private static final float WIDTH = 495;
    private static final float CURVE_HEIGHT = 150;
    private static final PDFont PLAIN = new PDType1Font(FontName.HELVETICA);
    private static final PDFont BOLD = new PDType1Font(FontName.HELVETICA_BOLD);

    private final PDDocument document = new PDDocument();
    private final String title;
    private PDPageContentStream content;
    private float y = TOP;

    private LifePaper(String title) throws IOException {
        this.title = title;
        this.content = page();
    }

    static byte[] of(LifeDocument life) throws IOException {
        try (LifePaper paper = new LifePaper(life.title())) {
            paper.write(BOLD, 18, life.title());
            paper.y -= LINE;
            for (Part part : life.parts()) {
                paper.part(part);
            }
            return paper.finished();
        }
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        PDPageContentStream stream = new PDPageContentStream(document, page);
        text(stream, PLAIN, 8, 30, title + "  ·  " + document.getNumberOfPages());
        y = TOP;
        return stream;
    }

    private void part(Part part) throws IOException {
        room(4 * LINE);
        y -= LINE / 2;
        write(BOLD, 12, part.heading());
        if (!part.curves().isEmpty()) {
            curves(part.curves());
        }
        for (String line : part.lines()) {
            for (String piece : wrapped(line)) {
                write(PLAIN, SIZE, piece);
            }
        }
    }

    private void room(float needed) throws IOException {
        if (y - needed < BOTTOM) {
            content.close();
            content = page();
        }
    }

    private void write(PDFont font, float size, String line) throws IOException {
        room(LINE);
        text(content, font, size, y, line);
        y -= Math.max(LINE, size * 1.3f);
    }

    private static void text(PDPageContentStream stream, PDFont font, float size, float at, String line)
            throws IOException {
        stream.beginText();
        stream.setFont(font, size);
        stream.newLineAtOffset(LEFT, at);
        stream.showText(plain(line));
        stream.endText();
    }

    /** What the paper's fonts have no letter for. */
    private static String plain(String line) {
        return line.replace('–', '-')
                .replace('’', '\'')
                .replace('“', '"')
                .replace('”', '"')
                .replace("…", "...")
                .replaceAll("[^\\x20-\\x7e\\xa0-\\xff]", "?");
    }

    private static List<String> wrapped(String line) throws IOException {
        List<String> pieces = new ArrayList<>();
        StringBuilder piece = new StringBuilder();
        for (String word : line.split(" ", -1)) {
            String longer = piece.isEmpty() ? word : piece + " " + word;
            if (PLAIN.getStringWidth(plain(longer)) / 1000 * SIZE > WIDTH && !piece.isEmpty()) {
                pieces.add(piece.toString());
                piece = new StringBuilder("    " + word);
            } else {
                piece = new StringBuilder(longer);
            }
        }
        pieces.add(piece.toString());
        return pieces;
    }

    private void curves(List<String> curves) throws IOException {
        room(CURVE_HEIGHT + 2 * LINE);
        float base = y - CURVE_HEIGHT;
        content.setLineWidth(0.5f);
        content.addRect(LEFT, base, WIDTH, CURVE_HEIGHT);
        content.stroke();
        for (String curve : curves) {
            boolean begun = false;
            for (String point : curve.split(" ", -1)) {
                String[] xy = point.split(",", -1);
                float x = LEFT + Float.parseFloat(xy[0]) * WIDTH / 500;
                float up = base + CURVE_HEIGHT - Float.parseFloat(xy[1]);
                if (begun) {
                    content.lineTo(x, up);
                } else {
                    content.moveTo(x, up);
                }
                begun = true;
            }
            content.stroke();
        }
        y = base - LINE;
    }

    private byte[] finished() throws IOException {
        content.close();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
