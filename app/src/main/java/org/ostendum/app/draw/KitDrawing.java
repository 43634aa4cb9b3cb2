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

    /**
     * @param tone CLOSED or OPEN for one that sticks, PROBE for the cell of the probe, else RIGHT
     */
    public record Injector(int cell, Point at, Tone tone) {}

    /** How an injector is drawn. */
    public enum Tone {
        RIGHT,
        PROBE,
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
                .map(cell -> new Injector(cell, middle(boxes, cell), tone(cell, probe, stuck)))
                .toList();
        Point first = injectors.get(0).at();
        Point coupling = new Point(drawing.tray().x() - COUPLING_OUT, first.y());
        return new KitDrawing(
                drawing, injectors, Strokes.polyline(loop(drawing.tray(), injectors, coupling)), coupling);
    }

    private static Point middle(Map<Integer, Box> boxes, int cell) {
        Box box = Objects.requireNonNull(boxes.get(cell));
        return new Point(box.middleX(), box.middleY());
    }

    private static Tone tone(int cell, @Nullable Integer probe, StuckInjectors stuck) {
        if (stuck.closed().numbers().contains(cell)) {
            return Tone.CLOSED;
        } else if (stuck.open().numbers().contains(cell)) {
            return Tone.OPEN;
        }
        return probe != null && probe == cell ? Tone.PROBE : Tone.RIGHT;
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
