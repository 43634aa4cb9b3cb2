package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.state.StuckInjectors;
import org.ostendum.core.water.KitRoute;

/**
 * A watering kit on its battery: which injector where, the loop of the tube, its coupling, the cell of its probe.
 *
 * @param injectors in the order in which the tube passes them
 * @param tube from the coupling over every injector and back to it
 */
public record KitDrawing(BatteryDrawing drawing, List<Injector> injectors, String tube, Point coupling) {
    private static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 440;
    private static final double COUPLING_OUT = 22;
    private static final double EDGE = 6;
    private static final double BESIDE = 0.16;
    private static final double BESIDE_MOST = 18;

    /**
     * One of them.
     *
     * @param sticks how it does; RIGHT for one that does not
     * @param probe whether the level probe looks into its cell
     */
    public record Injector(int cell, Point at, Sticks sticks, boolean probe) {}

    /** How an injector stands. */
    public enum Sticks {
        RIGHT,
        CLOSED,
        OPEN
    }

    /**
     * @param probe the cell of its level probe; null for none
     * @param stuck injectors that stick
     */
    public static KitDrawing of(CellLayout layout, boolean cablesLeft, @Nullable Integer probe, StuckInjectors stuck) {
        BatteryDrawing drawing = BatteryPlotter.plot(layout, cablesLeft, DRAWN_WIDTH, DRAWN_HEIGHT);
        Map<Integer, Box> boxes = drawing.cells().stream().collect(Collectors.toMap(CellBox::cell, CellBox::box));
        List<Injector> injectors = KitRoute.of(layout).stream()
                .map(cell -> new Injector(cell, vent(boxes, cell), sticks(cell, stuck), Objects.equals(cell, probe)))
                .toList();
        Point first = injectors.get(0).at();
        Point coupling = new Point(drawing.tray().x() - COUPLING_OUT, first.y());
        return new KitDrawing(
                drawing, injectors, Strokes.polyline(loop(drawing.tray(), injectors, coupling)), coupling);
    }

    /** Beside the middle, where a strap may run. */
    private static Point vent(Map<Integer, Box> boxes, int cell) {
        Box box = Objects.requireNonNull(boxes.get(cell));
        return new Point(box.middleX() + Math.min(BESIDE_MOST, BESIDE * box.width()), box.middleY());
    }

    private static Sticks sticks(int cell, StuckInjectors stuck) {
        if (stuck.closed().numbers().contains(cell)) {
            return Sticks.CLOSED;
        }
        return stuck.open().numbers().contains(cell) ? Sticks.OPEN : Sticks.RIGHT;
    }

    /** Back along the front edge and the side of the tray, clear of the cells. */
    private static List<Point> loop(Box tray, List<Injector> injectors, Point coupling) {
        List<Point> loop = new ArrayList<>();
        loop.add(coupling);
        injectors.forEach(injector -> loop.add(injector.at()));
        Point last = injectors.get(injectors.size() - 1).at();
        double front = tray.bottom() - EDGE;
        double side = tray.x() + EDGE;
        loop.add(new Point(last.x(), front));
        loop.add(new Point(side, front));
        loop.add(new Point(side, coupling.y()));
        return loop;
    }
}
