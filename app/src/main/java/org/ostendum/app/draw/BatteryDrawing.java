package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;

/**
 * A battery as it lies in front of the technician, ready to be put into SVG.
 *
 * @param width of the whole drawing
 * @param height of the whole drawing
 * @param tray outline of the tray, or of the ground the blocks stand on
 * @param cases outlines of blocks; empty for single cells
 * @param cells in the order of the path
 * @param figureSize type size of the figure in each cell
 * @param straps lines from negative to positive post
 * @param plusCable polyline from the first post to the connector
 * @param minusCable polyline from the last post to the connector
 * @param connector where both cables end
 */
public record BatteryDrawing(
        double width,
        double height,
        Box tray,
        List<Box> cases,
        List<CellBox> cells,
        double figureSize,
        List<Post> posts,
        List<List<Point>> straps,
        String plusCable,
        String minusCable,
        Box connector) {
    private static final double POST_RADIUS = 7.5;
    private static final double SIGN = 4;

    /** {@code viewBox} of the drawing. */
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }

    /** Outline of each case in the order of the path: of the blocks, or of single cells. */
    public List<Box> caseBoxes() {
        return cases.isEmpty() ? cells.stream().map(CellBox::box).toList() : cases;
    }

    /** All straps as one path. */
    public String strapsPath() {
        return Strokes.path(straps);
    }

    /** All posts of one pole as one path. */
    public String postsPath(boolean positive) {
        return Strokes.circles(of(positive), POST_RADIUS);
    }

    /** Whether a post stands in the upper right corner of a cell, where a small figure would go. */
    public boolean hasPostAtUpperRight(CellBox cell) {
        Box box = cell.box();
        return posts.stream()
                .map(Post::at)
                .anyMatch(at -> at.x() > box.x() + 0.7 * box.width()
                        && at.x() < box.x() + box.width()
                        && at.y() > box.y()
                        && at.y() < box.y() + 0.35 * box.height());
    }

    /** The signs on all posts of one pole as one path. */
    public String signsPath(boolean positive) {
        List<List<Point>> lines = new ArrayList<>();
        for (Point at : of(positive)) {
            lines.add(List.of(at.plus(-SIGN, 0), at.plus(SIGN, 0)));
            if (positive) {
                lines.add(List.of(at.plus(0, -SIGN), at.plus(0, SIGN)));
            }
        }
        return Strokes.path(lines);
    }

    private List<Point> of(boolean positive) {
        return posts.stream()
                .filter(post -> post.positive() == positive)
                .map(Post::at)
                .toList();
    }
}
