package org.ostendum.app.draw;

/**
 * One stroke, area or word of a sketch.
 *
 * @param kind LINE from x, y by width and height; RECT; CIRCLE about x, y of radius width; COURSE along the points in
 *     {@code text}; WORD at x, y
 * @param look its class in the style sheet; for words start, middle or end behind it say where they are held
 * @param text of a word, or the points of a course
 */
public record Shape(Kind kind, String look, double x, double y, double width, double height, String text) {
    public enum Kind {
        LINE,
        RECT,
        CIRCLE,
        COURSE,
        WORD
    }
}
