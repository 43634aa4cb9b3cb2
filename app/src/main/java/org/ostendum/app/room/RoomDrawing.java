package org.ostendum.app.room;

import java.util.List;
import org.ostendum.app.draw.Box;

/** A room's plan, ready to be put into SVG. */
public record RoomDrawing(double width, double height, Box walls, List<StandDrawing> stands) {
    public String viewBox() {
        return "0 0 " + Math.round(width) + " " + Math.round(height);
    }
}
