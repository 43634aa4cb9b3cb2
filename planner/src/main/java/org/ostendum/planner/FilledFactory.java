package org.ostendum.planner;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Gives a battery to a shift that has none: its charge before is moved so that it is ready, the one after so that it is ready for what
 * comes next, or another battery takes that over.
 */
public final class FilledFactory extends RandomMoves {
    private static final int TRIES = 20;

    @Override
    AtOnce draw(RoomPlan plan, Random chance) {
        for (int i = 0; i < TRIES; i++) {
            WorkAndCharge work = any(plan, chance);
            if (!work.isWorked() && !work.first) {
                Stock battery =
                        work.getFitting().get(chance.nextInt(work.getFitting().size()));
                return new Filling(plan, work, battery, chance).move();
            }
        }
        return AtOnce.NOTHING;
    }

    /** One battery for one shift. */
    private static final class Filling {
        private final WorkAndCharge work;
        private final Stock battery;
        private final Random chance;
        private final Places places;
        private final Peers peers;
        private final List<AtOnce.Placed> placed = new ArrayList<>();
        private final List<AtOnce.Taken> taken = new ArrayList<>();

        Filling(RoomPlan plan, WorkAndCharge work, Stock battery, Random chance) {
            this.work = work;
            this.battery = battery;
            this.chance = chance;
            this.places = new Places(plan, chance);
            this.peers = new Peers(plan, work);
        }

        AtOnce move() {
            taken.add(new AtOnce.Taken(work, battery));
            return isReady(peers.before(battery, work.order)) && isChargedFor(peers.next(battery, work.order))
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
                taken.addAll(peers.takenOver(next, battery, late.ready(battery), chance));
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
