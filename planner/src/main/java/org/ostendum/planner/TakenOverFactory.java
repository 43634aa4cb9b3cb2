package org.ostendum.planner;

import java.util.List;

/**
 * Moves a charge, and lets another battery take over what its own would then come too late for. One thing after the other would break a
 * rule in between.
 */
public final class TakenOverFactory extends RandomMoves {
    @Override
    AtOnce draw(Drawing drawing) {
        WorkAndCharge work = drawing.work();
        if (!work.isWorked()) {
            return AtOnce.NOTHING;
        }
        Stock battery = work.getBattery();
        AtOnce.Placed placed = new Places(drawing).pick(work, battery, Long.MAX_VALUE);
        if (placed == null) {
            return AtOnce.NOTHING;
        }
        WorkAndCharge next = drawing.occupancy().next(battery, work.order);
        long ready = placed.ready(battery);
        return next == null || ready <= next.neededBy
                ? new AtOnce(List.of(placed), List.of())
                : new AtOnce(List.of(placed), new ChangedRoles(drawing).from(next, battery, ready));
    }
}
