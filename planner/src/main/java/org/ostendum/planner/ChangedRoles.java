package org.ostendum.planner;

import java.util.ArrayList;
import java.util.List;

/** Two batteries change roles from a work on, so that another has it than one that would come too late. */
final class ChangedRoles {
    private final RandomMoves.Drawing drawing;
    private final Occupancy occupancy;

    ChangedRoles(RandomMoves.Drawing drawing) {
        this.drawing = drawing;
        this.occupancy = drawing.occupancy();
    }

    /**
     * @param late the battery that has the work now
     * @param ready when it may work again
     * @return none where no other is ready for the work and has nothing to do before that
     */
    List<AtOnce.Taken> from(WorkAndCharge next, Stock late, long ready) {
        List<Stock> fitting = next.getFitting();
        int from = drawing.chance().nextInt(fitting.size());
        for (int i = 0; i < fitting.size(); i++) {
            Stock other = fitting.get((from + i) % fitting.size());
            if (!other.equals(late) && isReady(other, next) && isFreeUntil(other, next, ready)) {
                return exchanged(next.order, late, other);
            }
        }
        return List.of();
    }

    private boolean isReady(Stock battery, WorkAndCharge work) {
        WorkAndCharge before = occupancy.before(battery, work.order);
        return (before == null ? battery.readyAt() : before.ready()) <= work.neededBy;
    }

    private boolean isFreeUntil(Stock battery, WorkAndCharge work, long ready) {
        WorkAndCharge next = occupancy.next(battery, work.order);
        return next == null || next.neededBy >= ready;
    }

    private List<AtOnce.Taken> exchanged(int from, Stock one, Stock other) {
        List<AtOnce.Taken> taken = new ArrayList<>();
        occupancy.having(one).stream()
                .filter(work -> work.order >= from)
                .forEach(work -> taken.add(new AtOnce.Taken(work, other)));
        occupancy.having(other).stream()
                .filter(work -> work.order >= from)
                .forEach(work -> taken.add(new AtOnce.Taken(work, one)));
        boolean fits = taken.stream().allMatch(each -> each.work().getFitting().contains(each.battery()));
        return fits ? taken : List.of();
    }
}
