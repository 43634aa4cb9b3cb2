package org.ostendum.app.wiring;

import java.util.List;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.battery.CellLayout;

/**
 * Where each block of a pack has come from, on its drawing.
 *
 * @param from place from which the block now in each place came; none where all stand as they did
 */
public record BlockSwap(BatteryDrawing drawing, int cellsPerBlock, List<Integer> from) {
    private static final double DRAWN_WIDTH = 780;
    private static final double DRAWN_HEIGHT = 240;

    static BlockSwap of(Battery battery, List<Integer> from) {
        CellLayout layout = battery.layout();
        return new BlockSwap(
                BatteryPlotter.plot(layout, battery.type().cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT),
                layout.cellsPerCase(),
                from);
    }

    /** @return the block that stands in the place of a cell, by the number it had before */
    public int blockAt(int cell) {
        int place = (cell - 1) / cellsPerBlock + 1;
        return from.isEmpty() ? place : from.get(place - 1);
    }

    /** The number of a block stands in its first cell alone. */
    public boolean isFirstOf(int cell) {
        return (cell - 1) % cellsPerBlock == 0;
    }

    public boolean hasMoved(int cell) {
        return blockAt(cell) != (cell - 1) / cellsPerBlock + 1;
    }
}
