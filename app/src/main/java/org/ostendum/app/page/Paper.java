package org.ostendum.app.page;

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

/** Sheets of A4 as a PDF, written from the top down: as many as it takes, each with the title and its number. */
public final class Paper implements AutoCloseable {
    private static final float LEFT = 50;
    private static final float TOP = 790;
    private static final float BOTTOM = 50;
    private static final float LINE = 13;
    private static final float SIZE = 9;
    private static final float WIDTH = 495;
    private static final float BOX = 8;
    private static final PDFont PLAIN = new PDType1Font(FontName.HELVETICA);
    private static final PDFont BOLD = new PDType1Font(FontName.HELVETICA_BOLD);

    private final PDDocument document = new PDDocument();
    private final String title;
    private PDPageContentStream content;
    private float y = TOP;

    /** Begins with the title in large letters. */
    public Paper(String title) throws IOException {
        this.title = title;
        this.content = page();
        write(BOLD, 18, LEFT, title);
        y -= LINE;
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        PDPageContentStream stream = new PDPageContentStream(document, page);
        text(stream, PLAIN, 8, LEFT, 30, title + "  ·  " + document.getNumberOfPages());
        y = TOP;
        return stream;
    }

    private void room(float needed) throws IOException {
        if (y - needed < BOTTOM) {
            content.close();
            content = page();
        }
    }

    /** Not left alone at the foot of a sheet. */
    public void heading(String line) throws IOException {
        room(4 * LINE);
        y -= LINE / 2;
        write(BOLD, 12, LEFT, line);
    }

    /** A line of text, in as many pieces as it takes. */
    public void text(String line) throws IOException {
        for (String piece : wrapped(line, WIDTH)) {
            write(PLAIN, SIZE, LEFT, piece);
        }
    }

    /** The same with an empty box before it, to be ticked by hand. */
    public void toTick(String line) throws IOException {
        boolean first = true;
        for (String piece : wrapped(line, WIDTH - 2 * BOX)) {
            room(LINE);
            if (first) {
                content.addRect(LEFT, y - 1, BOX, BOX);
                content.stroke();
            }
            write(PLAIN, SIZE, LEFT + 2 * BOX, piece);
            first = false;
        }
    }

    private void write(PDFont font, float size, float x, String line) throws IOException {
        room(LINE);
        text(content, font, size, x, y, line);
        y -= Math.max(LINE, size * 1.3f);
    }

    private static void text(PDPageContentStream stream, PDFont font, float size, float x, float at, String line)
            throws IOException {
        stream.beginText();
        stream.setFont(font, size);
        stream.newLineAtOffset(x, at);
        stream.showText(plain(line));
        stream.endText();
    }

    /** What the paper's fonts have no letter for. */
    private static String plain(String line) {
        return line.replace('–', '-')
                .replace('−', '-')
                .replace('’', '\'')
                .replace('“', '"')
                .replace('”', '"')
                .replace("→", "to")
                .replace("…", "...")
                .replaceAll("[^\\x20-\\x7e\\xa0-\\xff]", "?");
    }

    private static List<String> wrapped(String line, float width) throws IOException {
        List<String> pieces = new ArrayList<>();
        StringBuilder piece = new StringBuilder();
        for (String word : line.split(" ", -1)) {
            String longer = piece.isEmpty() ? word : piece + " " + word;
            if (PLAIN.getStringWidth(plain(longer)) / 1000 * SIZE > width && !piece.isEmpty()) {
                pieces.add(piece.toString());
                piece = new StringBuilder("    " + word);
            } else {
                piece = new StringBuilder(longer);
            }
        }
        pieces.add(piece.toString());
        return pieces;
    }

    /** What is drawn on a sketch. */
    public interface Drawn {
        void on(Sketch sketch) throws IOException;
    }

    /**
     * A drawing over the whole width.
     *
     * @param width of the drawing in its own units
     * @param height likewise
     */
    public void drawing(double width, double height, Drawn drawn) throws IOException {
        float scale = (float) (WIDTH / width);
        float tall = (float) height * scale;
        room(tall + 2 * LINE);
        drawn.on(new Sketch(content, scale, y));
        y -= tall + LINE;
    }

    /** A drawing in its own units, from its upper left corner. */
    public static final class Sketch {
        private static final float FIGURES = 8;
        private final PDPageContentStream content;
        private final float scale;
        private final float top;

        private Sketch(PDPageContentStream content, float scale, float top) {
            this.content = content;
            this.scale = scale;
            this.top = top;
        }

        public void box(double x, double y, double width, double height) throws IOException {
            content.setLineWidth(0.5f);
            content.addRect(x(x), y(y + height), (float) width * scale, (float) height * scale);
            content.stroke();
        }

        /** @param points as {@code x,y x,y …} */
        public void line(String points, float thick) throws IOException {
            content.setLineWidth(thick);
            boolean begun = false;
            for (String point : points.split(" ", -1)) {
                String[] xy = point.split(",", -1);
                float x = x(Double.parseDouble(xy[0]));
                float y = y(Double.parseDouble(xy[1]));
                if (begun) {
                    content.lineTo(x, y);
                } else {
                    content.moveTo(x, y);
                }
                begun = true;
            }
            content.stroke();
            content.setLineWidth(0.5f);
        }

        /** Figures about a point. */
        public void figure(double x, double y, String text) throws IOException {
            float width = BOLD.getStringWidth(plain(text)) / 1000 * FIGURES;
            text(content, BOLD, FIGURES, x(x) - width / 2, y(y) - FIGURES / 3, text);
        }

        /** The same on white, so that it can be read on a line. */
        public void label(double x, double y, String text) throws IOException {
            float width = BOLD.getStringWidth(plain(text)) / 1000 * FIGURES + 2;
            content.setNonStrokingColor(1f);
            content.addRect(x(x) - width / 2, y(y) - FIGURES / 2, width, FIGURES);
            content.fill();
            content.setNonStrokingColor(0f);
            figure(x, y, text);
        }

        private float x(double x) {
            return LEFT + (float) x * scale;
        }

        private float y(double y) {
            return top - (float) y * scale;
        }
    }

    /** @return all of it; nothing can be written any more */
    public byte[] finished() throws IOException {
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
