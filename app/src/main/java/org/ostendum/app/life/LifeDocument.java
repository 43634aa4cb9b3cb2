package org.ostendum.app.life;

import java.util.List;

/**
 * One battery's whole life as lines under headings: what the page shows and the paper prints.
 *
 * @param title of the whole
 */
record LifeDocument(String title, List<Part> parts) {
    LifeDocument {
        parts = List.copyOf(parts);
    }

    /**
     * @param heading of it
     * @param curves lines of a drawing of 500 by 150, each as x,y x,y …; none for most
     */
    record Part(String heading, List<String> lines, List<String> curves) {
        Part {
            lines = List.copyOf(lines);
            curves = List.copyOf(curves);
        }

        static Part of(String heading, List<String> lines) {
            return new Part(heading, lines, List.of());
        }
    }
}
