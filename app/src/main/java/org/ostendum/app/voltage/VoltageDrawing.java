package org.ostendum.app.voltage;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.draw.Box;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.quantity.Volts;

/**
 * The battery as it lies in front of the technician, with room for a voltage on each case.
 *
 * @param places in the order of the path
 */
record VoltageDrawing(BatteryDrawing drawing, List<Place> places) {
    private static final double WIDTH = 840;
    private static final double HEIGHT = 480;
    private static final double ENTRY_HEIGHT = 40;
    /** Clear of the case's number above and of its posts below. */
    private static final double ENTRY_TOP = 24;

    private static final double SIDE = 6;
    private static final double WIDEST_ENTRY = 150;

    /**
     * One case.
     *
     * @param entry where its voltage is typed
     * @param rest what was last read at rest, null for nothing
     * @param load what was last read under load, null for nothing
     */
    record Place(int number, Box box, Box entry, @Nullable Volts rest, @Nullable Volts load, boolean suspect) {}

    static VoltageDrawing of(Battery battery, VoltageViews.@Nullable Read rest, VoltageViews.@Nullable Read load) {
        BatteryDrawing drawing =
                BatteryPlotter.plot(battery.layout(), battery.type().cablesLeft(), WIDTH, HEIGHT);
        List<Place> places = new ArrayList<>();
        for (Box box : drawing.caseBoxes()) {
            int number = places.size() + 1;
            boolean suspect = isSuspect(rest, number) || isSuspect(load, number);
            places.add(new Place(number, box, entry(box), read(rest, number), read(load, number), suspect));
        }
        return new VoltageDrawing(drawing, List.copyOf(places));
    }

    private static Box entry(Box box) {
        double width = Math.min(WIDEST_ENTRY, box.width() - 2 * SIDE);
        return new Box(box.middleX() - width / 2, box.y() + ENTRY_TOP, width, ENTRY_HEIGHT);
    }

    private static boolean isSuspect(VoltageViews.@Nullable Read read, int number) {
        return read != null && read.suspects().contains(number);
    }

    private static @Nullable Volts read(VoltageViews.@Nullable Read read, int number) {
        return read == null ? null : read.round().byPlace().get(number);
    }
}
