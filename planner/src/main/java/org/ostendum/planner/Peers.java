package org.ostendum.planner;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The works that may share batteries with one another, as they are decided at the moment. */
final class Peers {
    private final List<WorkAndCharge> works;
    private final int[] orders;

    Peers(RoomPlan plan, WorkAndCharge work) {
        works = plan.getWorks();
        orders = work.peers;
    }

    /** @return the first work after that order that the battery has, null for none */
    @Nullable
    WorkAndCharge next(Stock battery, int order) {
        for (int one : orders) {
            if (one > order && battery.equals(works.get(one).getBattery())) {
                return works.get(one);
            }
        }
        return null;
    }

    /** @return the last work before that order that the battery has, null for none */
    @Nullable
    WorkAndCharge before(Stock battery, int order) {
        WorkAndCharge found = null;
        for (int one : orders) {
            if (one < order && battery.equals(works.get(one).getBattery())) {
                found = works.get(one);
            }
        }
        return found;
    }

    /** @return the quicker of two chargers on which nothing else charges meanwhile; null where all are taken */
    @Nullable
    Outlet free(WorkAndCharge work, Stock battery, long start, Random chance) {
        List<Outlet> outlets = work.getOutlets();
        Set<Outlet> taken = taken(work, start, start + work.lasts(battery, outlets.get(0)));
        int from = chance.nextInt(outlets.size());
        Outlet first = null;
        for (int i = 0; i < outlets.size(); i++) {
            Outlet outlet = outlets.get((from + i) % outlets.size());
            if (!taken.contains(outlet) && first != null) {
                return work.lasts(battery, outlet) < work.lasts(battery, first) ? outlet : first;
            }
            first = taken.contains(outlet) ? first : outlet;
        }
        return first;
    }

    private Set<Outlet> taken(WorkAndCharge work, long start, long end) {
        Set<Outlet> taken = new HashSet<>();
        for (int one : orders) {
            WorkAndCharge other = works.get(one);
            if (other != work && other.isCharged() && other.chargeStart() < end && other.chargeEnd() > start) {
                taken.add(other.getOutlet());
            }
        }
        return taken;
    }

    /**
     * From a work on two batteries change roles.
     *
     * @param late the battery that has the work now
     * @param ready when it may work again
     * @return none where no other is ready for the work and has nothing to do before that
     */
    List<AtOnce.Taken> takenOver(WorkAndCharge next, Stock late, long ready, Random chance) {
        Map<Stock, Long> free = new HashMap<>();
        Map<Stock, Long> wanted = new HashMap<>();
        for (int one : orders) {
            WorkAndCharge other = works.get(one);
            if (other.isWorked() && other.order < next.order) {
                free.put(other.getBattery(), other.ready());
            } else if (other.isWorked()) {
                wanted.putIfAbsent(other.getBattery(), other.neededBy);
            }
        }
        List<Stock> able = next.getFitting().stream()
                .filter(stock -> !stock.equals(late))
                .filter(stock -> free.getOrDefault(stock, stock.readyAt()) <= next.neededBy)
                .filter(stock -> wanted.getOrDefault(stock, Long.MAX_VALUE) >= ready)
                .toList();
        return able.isEmpty() ? List.of() : exchanged(next.order, late, able.get(chance.nextInt(able.size())));
    }

    private List<AtOnce.Taken> exchanged(int from, Stock one, Stock other) {
        List<AtOnce.Taken> taken = new ArrayList<>();
        for (int order : orders) {
            WorkAndCharge work = works.get(order);
            if (order >= from && one.equals(work.getBattery())) {
                taken.add(new AtOnce.Taken(work, other));
            } else if (order >= from && other.equals(work.getBattery())) {
                taken.add(new AtOnce.Taken(work, one));
            }
        }
        boolean fits = taken.stream().allMatch(each -> each.work().getFitting().contains(each.battery()));
        return fits ? taken : List.of();
    }
}
