package org.ostendum.app.life;

import java.io.IOException;
import java.util.List;
import org.ostendum.app.life.LifeDocument.Part;
import org.ostendum.app.page.Paper;

/** A life document on paper. */
final class LifePaper {
    /** Units in which the curves of a life are drawn. */
    private static final double WIDTH = 500;

    private static final double HEIGHT = 150;
    private static final float THIN = 0.5f;

    private LifePaper() {}

    static byte[] of(LifeDocument life) throws IOException {
        try (Paper paper = new Paper(life.title())) {
            for (Part part : life.parts()) {
                paper.heading(part.heading());
                if (!part.curves().isEmpty()) {
                    paper.drawing(WIDTH, HEIGHT, sketch -> draw(part.curves(), sketch));
                }
                for (String line : part.lines()) {
                    paper.text(line);
                }
            }
            return paper.finished();
        }
    }

    private static void draw(List<String> curves, Paper.Sketch sketch) throws IOException {
        sketch.box(0, 0, WIDTH, HEIGHT);
        for (String curve : curves) {
            sketch.line(curve, THIN);
        }
    }
}
