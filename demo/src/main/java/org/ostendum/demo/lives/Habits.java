package org.ostendum.demo.lives;

/**
 * How a battery is used and looked after.
 *
 * @param workDaysPerWeek 1 to 7
 * @param depth of each working day, 0 to 1 of rated capacity
 * @param roundEveryDays about so often a round is taken
 * @param waterEveryDays about so often it is watered
 * @param equaliseEveryDays about so often it is equalised; 0 for never
 */
public record Habits(int workDaysPerWeek, double depth, int roundEveryDays, int waterEveryDays, int equaliseEveryDays) {
    /** The same where nobody equalises. */
    public Habits withoutEqualising() {
        return new Habits(workDaysPerWeek, depth, roundEveryDays, waterEveryDays, 0);
    }
}
