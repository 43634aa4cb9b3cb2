package org.ostendum.sim;

import java.util.Random;

/**
 * How a battery is used, looked after and written about: the habits of a site, sloppy as they are.
 *
 * @param workDays of a week
 * @param depth of a usual working day, part of capacity
 * @param roundEvery days between rounds of readings
 * @param waterEvery days between waterings
 * @param equaliseEvery days between equalising charges; 0 for never
 * @param logsAmpHours whether the Ah of each charge and discharge are on record
 * @param readsVolts whether rounds hold cell voltages on charge
 * @param looksAtLevels whether rounds hold levels
 * @param slips part of the rounds in which somebody makes a mistake
 * @param celsius of the room over the year, mean
 */
public record Site(
        int workDays,
        double depth,
        int roundEvery,
        int waterEvery,
        int equaliseEvery,
        boolean logsAmpHours,
        boolean readsVolts,
        boolean looksAtLevels,
        double slips,
        double celsius) {
    private static final double USUAL_CELSIUS = 21;

    /** A site as they come. */
    public static Site random(Random random) {
        return new Site(
                5 + random.nextInt(2),
                0.45 + 0.3 * random.nextDouble(),
                10 + random.nextInt(22),
                7 + random.nextInt(8),
                random.nextInt(8) == 0 ? 0 : 14 + random.nextInt(28),
                random.nextInt(10) < 7,
                random.nextInt(10) < 6,
                random.nextInt(10) < 8,
                0.03 + 0.05 * random.nextDouble(),
                USUAL_CELSIUS);
    }

    /** The same in a room that is colder or hotter. */
    public Site in(double roomCelsius) {
        return with(roundEvery, logsAmpHours, readsVolts, roomCelsius);
    }

    /** The same with a round every so many days. */
    public Site readEvery(int days) {
        return with(days, logsAmpHours, readsVolts, celsius);
    }

    public Site withoutVolts() {
        return with(roundEvery, logsAmpHours, false, celsius);
    }

    public Site withoutAmpHours() {
        return with(roundEvery, false, readsVolts, celsius);
    }

    private Site with(int rounds, boolean logs, boolean volts, double room) {
        return new Site(workDays, depth, rounds, waterEvery, equaliseEvery, logs, volts, looksAtLevels, slips, room);
    }
}
