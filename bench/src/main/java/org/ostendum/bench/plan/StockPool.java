package org.ostendum.bench.plan;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;

/** Machines that share batteries, with all batteries that go into any of them and may work. */
record StockPool(List<PlanMachine> machines, List<PoolBattery> batteries) {
    static List<StockPool> of(PlanProblem problem) {
        List<StockPool> pools = new ArrayList<>();
        for (PlanMachine machine : problem.machines()) {
            StockPool joined = new StockPool(
                    List.of(machine),
                    problem.batteries().stream()
                            .filter(battery -> !battery.held() && battery.fits(machine))
                            .toList());
            List<StockPool> sharing = pools.stream().filter(joined::shares).toList();
            pools.removeAll(sharing);
            for (StockPool other : sharing) {
                joined = joined.with(other);
            }
            pools.add(joined);
        }
        return pools;
    }

    private boolean shares(StockPool other) {
        return batteries.stream().anyMatch(other.batteries::contains);
    }

    private StockPool with(StockPool other) {
        return new StockPool(
                Stream.concat(machines.stream(), other.machines.stream()).toList(),
                Stream.concat(batteries.stream(), other.batteries.stream())
                        .distinct()
                        .toList());
    }

    /** @return whether its batteries charge in their machines */
    boolean fixed() {
        return machines.stream().allMatch(PlanMachine::fixed);
    }

    double mostUsableAh() {
        return batteries.stream().mapToDouble(PoolBattery::usableAh).max().orElse(0);
    }

    /** @return those that have to be charged before they work */
    Stream<PoolBattery> flat() {
        return batteries.stream().filter(battery -> battery.missingAh() > 0);
    }

    /** @return how many are full and cool by then without being charged */
    int readyBy(Instant at) {
        return (int) batteries.stream()
                .filter(battery -> battery.missingAh() <= 0)
                .filter(battery ->
                        battery.coolUntil() == null || !battery.coolUntil().isAfter(at))
                .count();
    }
}
