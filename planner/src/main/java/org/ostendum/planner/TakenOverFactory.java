package org.ostendum.planner;

import java.util.List;
import java.util.Random;

/**
 * Moves a charge, and lets another battery take over what its own would then come too late for. One thing after the other would break a
 * rule in between.
 */
public final class TakenOverFactory extends RandomMoves {
    @Override
    AtOnce draw(RoomPlan plan, Random chance) {
        WorkAndCharge work = any(plan, chance);
        if (!work.isWorked()) {
            return AtOnce.NOTHING;
        }
        Stock battery = work.getBattery();
        AtOnce.Placed placed = new Places(plan, chance).pick(work, battery, Long.MAX_VALUE);
        if (placed == null) {
            return AtOnce.NOTHING;
        }
        Peers peers = new Peers(plan, work);
        WorkAndCharge next = peers.next(battery, work.order);
        long ready = placed.ready(battery);
        return next == null || ready <= next.neededBy
                ? new AtOnce(List.of(placed), List.of())
                : new AtOnce(List.of(placed), peers.takenOver(next, battery, ready, chance));
    }
}
