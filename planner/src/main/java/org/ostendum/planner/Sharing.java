package org.ostendum.planner;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** Which works may share batteries, directly or by others. */
final class Sharing {
    private final Map<Stock, TreeSet<Integer>> orders = new HashMap<>();

    private Sharing() {}

    /** Tells each work of its peers. */
    static void tell(List<WorkAndCharge> works) {
        Sharing sharing = new Sharing();
        works.forEach(sharing::join);
        Map<TreeSet<Integer>, int[]> told = new HashMap<>();
        for (WorkAndCharge work : works) {
            work.peers = told.computeIfAbsent(
                    sharing.orders.get(work.getFitting().get(0)),
                    peers -> peers.stream().mapToInt(Integer::intValue).toArray());
        }
    }

    private void join(WorkAndCharge work) {
        TreeSet<Integer> joined = new TreeSet<>(List.of(work.order));
        for (Stock battery : work.getFitting()) {
            joined.addAll(orders.getOrDefault(battery, new TreeSet<>()));
        }
        work.getFitting().forEach(battery -> orders.put(battery, joined));
        orders.replaceAll((battery, peers) -> joined.contains(peers.first()) ? joined : peers);
    }
}
