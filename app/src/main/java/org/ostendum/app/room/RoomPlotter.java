package org.ostendum.app.room;

import java.util.List;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Box;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Charger;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;

/** Scales a room's plan from centimetres to the drawing. */
final class RoomPlotter {
    private static final double MARGIN = 8;
    private static final double TITLE = 26;
    private static final double CHARGER = 20;
    private static final double GAP = 6;

    private final RoomPlan plan;
    private final double scale;

    private RoomPlotter(RoomPlan plan, double width) {
        this.plan = plan;
        this.scale = (width - 2 * MARGIN) / plan.widthCm();
    }

    /** Makes the tile of a slot in its box, under its charger's plate. */
    interface Tiler {
        Tile tile(Slot slot, Box box, Tile.@Nullable ChargerPlate charger);
    }

    /**
     * @param width of the drawing, in its units
     * @param chargerLabel what a charger's plate says, and whether it is at work
     */
    static RoomDrawing plot(
            RoomPlan plan, double width, Tiler tiler, BiFunction<Slot, Charger, ChargerSays> chargerLabel) {
        return new RoomPlotter(plan, width).plot(tiler, chargerLabel);
    }

    /** What a charger's plate says. */
    record ChargerSays(String label, boolean on) {}

    private RoomDrawing plot(Tiler tiler, BiFunction<Slot, Charger, ChargerSays> chargerLabel) {
        List<StandDrawing> stands = plan.stands().stream()
                .map(stand -> stand(stand, tiler, chargerLabel))
                .toList();
        double bottom = stands.stream().mapToDouble(s -> s.box().bottom()).max().orElse(0);
        double wallsBottom = plan.stands().stream()
                .filter(s -> s.kind() == StandKind.DOOR)
                .mapToDouble(s -> MARGIN + s.yCm() * scale - GAP)
                .min()
                .orElse(MARGIN + plan.depthCm() * scale);
        Box walls = new Box(MARGIN, MARGIN, plan.widthCm() * scale, wallsBottom - MARGIN);
        return new RoomDrawing(
                plan.widthCm() * scale + 2 * MARGIN, Math.max(bottom, walls.bottom()) + MARGIN, walls, stands);
    }

    private StandDrawing stand(Stand stand, Tiler tiler, BiFunction<Slot, Charger, ChargerSays> chargerLabel) {
        Box box = new Box(
                MARGIN + stand.xCm() * scale,
                MARGIN + stand.yCm() * scale,
                stand.widthCm() * scale,
                stand.depthCm() * scale);
        int count = stand.slots().size();
        List<Tile> tiles = IntStream.range(0, count)
                .mapToObj(i -> tile(stand.slots().get(i), slotBox(box, i, count), tiler, chargerLabel))
                .toList();
        return new StandDrawing(stand.name(), stand.kind(), box, tiles);
    }

    /** Slots lie side by side; a stand deeper than wide has them behind each other. */
    private static Box slotBox(Box stand, int index, int count) {
        double top = stand.y() + TITLE;
        double height = stand.height() - TITLE;
        if (stand.width() >= stand.height()) {
            double width = (stand.width() + GAP) / count;
            return new Box(stand.x() + index * width, top, width - GAP, height);
        }
        double step = (height + GAP) / count;
        return new Box(stand.x(), top + index * step, stand.width(), step - GAP);
    }

    private static Tile tile(Slot slot, Box box, Tiler tiler, BiFunction<Slot, Charger, ChargerSays> chargerLabel) {
        Charger charger = slot.charger();
        if (charger == null) {
            return tiler.tile(slot, box, null);
        }
        ChargerSays says = chargerLabel.apply(slot, charger);
        Tile.ChargerPlate plate =
                new Tile.ChargerPlate(new Box(box.x(), box.y(), box.width(), CHARGER), says.label(), says.on());
        return tiler.tile(slot, new Box(box.x(), box.y() + CHARGER, box.width(), box.height() - CHARGER), plate);
    }
}
