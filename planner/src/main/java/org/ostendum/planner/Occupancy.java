package org.ostendum.planner;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.NullUnmarked;

/** What each battery does and what each charger charges, as it is decided at the moment. */
@NullUnmarked
final class Occupancy {
    private final List<List<WorkAndCharge>> byBattery;
    private final List<List<WorkAndCharge>> byOutlet;
    private final List<WorkAndCharge> without = new ArrayList<>();

    /** Nothing is decided yet. */
    Occupancy(int batteries, int outlets) {
        byBattery = empty(batteries);
        byOutlet = empty(outlets);
    }

    private static List<List<WorkAndCharge>> empty(int size) {
        return Stream.<List<WorkAndCharge>>generate(ArrayList::new).limit(size).toList();
    }

    void add(WorkAndCharge work) {
        if (!work.isWorked()) {
            without.add(work);
            return;
        }
        having(work.getBattery()).add(work);
        if (work.getOutlet() != null) {
            on(work.getOutlet()).add(work);
        }
    }

    void remove(WorkAndCharge work) {
        if (!work.isWorked()) {
            without.remove(work);
            return;
        }
        having(work.getBattery()).remove(work);
        if (work.getOutlet() != null) {
            on(work.getOutlet()).remove(work);
        }
    }

    /** @return all works of a battery, in no order */
    List<WorkAndCharge> having(Stock battery) {
        return byBattery.get(battery.index());
    }

    /** @return all works after which the battery goes on that charger, in no order; some too late to be charged within the plan */
    List<WorkAndCharge> on(Outlet outlet) {
        return byOutlet.get(outlet.index());
    }

    /** @return the shifts that go without a battery, in no order */
    List<WorkAndCharge> without() {
        return without;
    }

    /** @return the last work of the battery before that order, null for none */
    WorkAndCharge before(Stock battery, int order) {
        WorkAndCharge found = null;
        for (WorkAndCharge work : having(battery)) {
            if (work.order < order && (found == null || work.order > found.order)) {
                found = work;
            }
        }
        return found;
    }

    /** @return the first work of the battery after that order, null for none */
    WorkAndCharge next(Stock battery, int order) {
        WorkAndCharge found = null;
        for (WorkAndCharge work : having(battery)) {
            if (work.order > order && (found == null || work.order < found.order)) {
                found = work;
            }
        }
        return found;
    }

    /** @return whether nothing else charges there meanwhile */
    boolean isFree(Outlet outlet, WorkAndCharge apart, long start, long end) {
        for (WorkAndCharge work : on(outlet)) {
            if (work != apart && work.isCharged() && work.chargeStart() < end && work.chargeEnd() > start) {
                return false;
            }
        }
        return true;
    }
}
