package org.ostendum.app.draw;

/**
 * A battery's course in a line of text.
 *
 * @param band the full window
 * @param median line of the middle gravity
 * @param lowest line of the lowest
 */
public record Spark(double width, double height, Box band, String median, String lowest, Point end) {
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }
}
