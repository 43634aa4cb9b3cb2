package org.ostendum.app.repair;

import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.inventory.Battery;

/** The cell that a job is about, on the battery's drawing. */
public record LitCell(BatteryDrawing drawing, int cell) {
    private static final double DRAWN_WIDTH = 780;
    private static final double DRAWN_HEIGHT = 300;

    static LitCell of(Battery battery, int cell) {
        return new LitCell(
                BatteryPlotter.plot(
                        battery.type().model().layout(), battery.type().cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT),
                cell);
    }
}
