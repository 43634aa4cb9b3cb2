package org.ostendum.planner;

import org.jspecify.annotations.NullUnmarked;

/** Which works begin with a change of batteries, from when on each of these can be made, and whether there are hands enough for all. */
@NullUnmarked
final class HandOvers {
    private final Crew crew;
    private final Machines machines;
    private final Occupancy occupancy;

    HandOvers(RoomPlan plan, Machines machines, Occupancy occupancy) {
        this.machines = machines;
        this.crew = new Crew(plan.problem(), plan.getWorks());
        this.occupancy = occupancy;
        plan.getWorks().forEach(work -> work.changeFrom = WorkAndCharge.NO_CHANGE);
    }

    /** @return by how many changes too much is wanted */
    long over() {
        return crew.over();
    }

    /** Counts anew what depends on when the battery is charged after a work. */
    void afterCharge(WorkAndCharge work) {
        WorkAndCharge next = occupancy.next(work.getBattery(), work.order);
        if (next != null) {
            count(next);
        }
    }

    /** Counts anew what depends on who works: its own change, and the machine’s next. */
    void at(WorkAndCharge work) {
        count(work);
        WorkAndCharge then = machines.after(work);
        while (then != null) {
            count(then);
            then = then.isWorked() ? null : machines.after(then);
        }
    }

    private void count(WorkAndCharge work) {
        long from = changeFrom(work);
        if (from == work.changeFrom) {
            return;
        }
        if (work.changeFrom != WorkAndCharge.NO_CHANGE) {
            crew.add(work.changeFrom, work.start, -1);
        }
        if (from != WorkAndCharge.NO_CHANGE) {
            crew.add(from, work.start, 1);
        }
        work.changeFrom = from;
    }

    private long changeFrom(WorkAndCharge work) {
        if (work.first || !work.isWorked() || work.getBattery().fixed()) {
            return WorkAndCharge.NO_CHANGE;
        }
        WorkAndCharge before = machines.before(work);
        String found = work.found;
        while (before != null && !before.isWorked()) {
            found = before.found;
            before = machines.before(before);
        }
        boolean stays = before == null
                ? work.getBattery().code().equals(found)
                : work.getBattery().equals(before.getBattery());
        long free = before == null ? 0 : before.end;
        return stays ? WorkAndCharge.NO_CHANGE : crew.earliest(ready(work), free, work.start);
    }

    private long ready(WorkAndCharge work) {
        WorkAndCharge before = occupancy.before(work.getBattery(), work.order);
        return before == null ? work.getBattery().readyAt() : before.ready();
    }
}
