package org.ostendum.sim.week;

import java.util.Map;

/**
 * What a week was like.
 *
 * @param shifts that began in it
 * @param stood of them, those without a battery, by what stood in the way
 * @param bare batteries whose plates were bare at some time
 * @param gasMinutes with more hydrogen than the room bears
 * @param handMinutes of people: changes, plugging, care
 * @param energyCost of all charges, with what is still missing at the end at the cheapest price
 * @param mostKilowatts at any minute
 * @param cycleSpread standard deviation of the cycles within a pool, mean of all pools
 * @param charges begun
 */
public record WeekResult(
        int shifts,
        Map<Obstacle, Integer> stood,
        int bare,
        int gasMinutes,
        int handMinutes,
        double energyCost,
        double mostKilowatts,
        double cycleSpread,
        int charges) {
    public WeekResult {
        stood = Map.copyOf(stood);
    }

    /** @return shifts without a battery */
    public int unmet() {
        return stood.values().stream().mapToInt(Integer::intValue).sum();
    }
}
