package org.ostendum.web.draw;

import java.util.List;

/**
 * A battery as it lies in front of the technician, ready to be put into SVG.
 *
 * @param width of the whole drawing
 * @param height of the whole drawing
 * @param tray outline of the tray, or of the ground the blocks stand on
 * @param cases outlines of blocks; empty for single cells
 * @param cells in the order of the path
 * @param straps polylines from negative to positive post
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
        List<Post> posts,
        List<String> straps,
        String plusCable,
        String minusCable,
        Box connector) {

    /** {@code viewBox} of the drawing. */
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }
}
