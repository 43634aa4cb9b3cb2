package org.ostendum.planner;

import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;

/** Which works may share batteries, directly or by others. */
final class Sharing {
    private final Map<Stock, TreeSet<Integer>> orders = new HashMap<>();

    private Sharing() {}

    /** Tells each work of its peers. */
    static void tell(List<WorkAndCharge> works) {
        Sharing sharing = new Sharing();
        works.forEach(sharing::join);
        IdentityHashMap<TreeSet<Integer>, int[]> told = new IdentityHashMap<>();
        for (WorkAndCharge work : works) {
            work.peers = told.computeIfAbsent(
                    Objects.requireNonNull(sharing.orders.get(work.getFitting().get(0))),
                    peers -> peers.stream().mapToInt(Integer::intValue).toArray());
        }
    }

    private void join(WorkAndCharge work) {
        Set<TreeSet<Integer>> met = Collections.newSetFromMap(new IdentityHashMap<>());
        for (Stock battery : work.getFitting()) {
            met.add(orders.computeIfAbsent(battery, any -> new TreeSet<>()));
        }
        TreeSet<Integer> joined = Collections.max(met, Comparator.comparingInt(Set::size));
        joined.add(work.order);
        if (met.size() > 1) {
            met.forEach(joined::addAll);
            orders.replaceAll((battery, pool) -> met.contains(pool) ? joined : pool);
        }
    }
}
