package org.ostendum.app.repair;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.inventory.Battery;

/**
 * The cell that a job is about, on the battery's drawing.
 *
 * @param permitUntil when the permit for hot work at it runs out; null while none is signed
 */
public record LitCell(BatteryDrawing drawing, int cell, @Nullable Instant permitUntil) {
    private static final double DRAWN_WIDTH = 780;
    private static final double DRAWN_HEIGHT = 300;

    static LitCell of(Battery battery, int cell, @Nullable Instant permitUntil) {
        return new LitCell(
                BatteryPlotter.plot(battery.layout(), battery.type().cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT),
                cell,
                permitUntil);
    }
}
