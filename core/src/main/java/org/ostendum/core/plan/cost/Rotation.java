package org.ostendum.core.plan.cost;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PoolBattery;

/** Even cycles over the batteries that could stand in for one another. */
public final class Rotation {
    /** A new battery in an old pool is not worked to death to catch up. */
    private static final int MOST_HANDICAP = 20;

    private Rotation() {}

    /** @return by battery, its cycles above the least of its pool, at most 20 */
    public static Map<String, Integer> handicaps(PlanProblem problem) {
        Map<String, Integer> least = new HashMap<>();
        problem.batteries().forEach(battery -> least.merge(pool(battery), battery.cycles(), Math::min));
        Map<String, Integer> handicaps = new HashMap<>();
        problem.batteries()
                .forEach(battery -> handicaps.put(
                        battery.code(),
                        Math.min(MOST_HANDICAP, battery.cycles() - least.getOrDefault(pool(battery), 0))));
        return handicaps;
    }

    private static String pool(PoolBattery battery) {
        return battery.volts() + " " + battery.connector().toLowerCase(Locale.ROOT);
    }

    /** @return what so many uses of one with this handicap cost */
    public static double cost(int handicap, int uses) {
        return (double) (handicap + uses) * (handicap + uses) - (double) handicap * handicap;
    }
}
