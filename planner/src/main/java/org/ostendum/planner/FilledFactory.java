package org.ostendum.planner;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Gives a battery to a shift that has none: its charge before is moved so that it is ready, the one after so that it is ready for what
 * comes next, or another battery takes that over.
 */
public final class FilledFactory extends RandomMoves {
    @Override
    AtOnce draw(Drawing drawing) {
        List<WorkAndCharge> without = drawing.occupancy().without();
        if (without.isEmpty()) {
            return AtOnce.NOTHING;
        }
        WorkAndCharge work = drawing.any(without);
        return new Filling(drawing, work, drawing.any(work.getFitting())).move();
    }

    /** One battery for one shift. */
    private static final class Filling {
        private final Drawing drawing;
        private final WorkAndCharge work;
        private final Stock battery;
        private final Places places;
        private final List<AtOnce.Placed> placed = new ArrayList<>();
        private final List<AtOnce.Taken> taken = new ArrayList<>();

        Filling(Drawing drawing, WorkAndCharge work, Stock battery) {
            this.drawing = drawing;
            this.work = work;
            this.battery = battery;
            this.places = new Places(drawing);
        }

        AtOnce move() {
            taken.add(new AtOnce.Taken(work, battery));
            Occupancy occupancy = drawing.occupancy();
            return isReady(occupancy.before(battery, work.order)) && isChargedFor(occupancy.next(battery, work.order))
                    ? new AtOnce(placed, taken)
                    : AtOnce.NOTHING;
        }

        private boolean isReady(@Nullable WorkAndCharge before) {
            if (before == null) {
                return battery.readyAt() <= work.neededBy;
            }
            return before.ready() <= work.neededBy || place(before, work.neededBy - battery.coolSeconds()) != null;
        }

        private boolean isChargedFor(@Nullable WorkAndCharge next) {
            if (next == null) {
                return place(work, Long.MAX_VALUE) != null;
            }
            if (place(work, next.neededBy - battery.coolSeconds()) != null) {
                return true;
            }
            AtOnce.Placed late = place(work, Long.MAX_VALUE);
            if (late != null) {
                taken.addAll(new ChangedRoles(drawing).from(next, battery, late.ready(battery)));
            }
            return late != null;
        }

        private AtOnce.@Nullable Placed place(WorkAndCharge charged, long latest) {
            AtOnce.Placed found = places.pick(charged, battery, latest);
            if (found != null) {
                placed.add(found);
            }
            return found;
        }
    }
}
