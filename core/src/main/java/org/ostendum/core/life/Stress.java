package org.ostendum.core.life;

import org.ostendum.core.quantity.OutOfRange;

/**
 * How hard a battery is used, and what that takes of its life in a year. Rules of thumb: so many cycles to 80 % of depth at 30 °C make a
 * life, or so many years standing by; heat halves life for each 10 K; a deeper cycle takes more than its share; thirst and charges ended
 * short eat the rest. Practice {@code life}.
 *
 * @param cyclesAYear 0 to 1500
 * @param depth of a usual cycle, 0 to 1
 * @param celsius mean temperature of its electrolyte, −20 to 60
 * @param thirst part of its time with plates bare or water overdue, 0 to 1
 * @param shortCharges part of its charges that ended before full, 0 to 1
 */
public record Stress(double cyclesAYear, double depth, double celsius, double thirst, double shortCharges) {
    /** To this depth lives are stated. */
    private static final double STATED_DEPTH = 0.8;

    private static final double DEEPER = 1.2;
    private static final double STATED_CELSIUS = 30;
    private static final double KELVINS_TO_HALVE = 10;
    /** Years that it would last standing by. */
    private static final double YEARS = 10;

    private static final double MOST_CYCLES = 1500;
    private static final double HOTTEST = 60;
    /** K, of batteries that are charged in their breaks (rule of thumb). */
    private static final double WARMER_IN_BREAKS = 5;

    private static final double BY_THIRST = 1.0;
    private static final double BY_SHORT_CHARGES = 0.8;

    public Stress {
        OutOfRange.check("cycles a year", cyclesAYear, 0, MOST_CYCLES);
        OutOfRange.check("depth", depth, 0, 1);
        OutOfRange.check("temperature", celsius, -20, HOTTEST);
        OutOfRange.check("thirst", thirst, 0, 1);
        OutOfRange.check("short charges", shortCharges, 0, 1);
    }

    /**
     * @param cycles of a life, 50 to 5000
     * @return part of a life that a year takes
     */
    public double partAYear(int cycles) {
        OutOfRange.check("cycles of a life", cycles, 50, 5000);
        double worked = cyclesAYear / cycles * Math.pow(depth / STATED_DEPTH, DEEPER);
        double heat = Math.pow(2, (celsius - STATED_CELSIUS) / KELVINS_TO_HALVE);
        return (worked + 1 / YEARS) * heat * (1 + BY_THIRST * thirst + BY_SHORT_CHARGES * shortCharges);
    }

    /** The same in a room so much cooler. */
    public Stress cooler(double kelvins) {
        return new Stress(cyclesAYear, depth, Math.max(-20, celsius - kelvins), thirst, shortCharges);
    }

    public Stress watered() {
        return new Stress(cyclesAYear, depth, celsius, 0, shortCharges);
    }

    public Stress chargedToTheEnd() {
        return new Stress(cyclesAYear, depth, celsius, thirst, 0);
    }

    /** The same work charged in the breaks: twice the cycles, half as deep, with no time to cool between (rules of thumb). */
    public Stress chargedInBreaks() {
        return new Stress(
                Math.min(MOST_CYCLES, 2 * cyclesAYear),
                depth / 2,
                Math.min(HOTTEST, celsius + WARMER_IN_BREAKS),
                thirst,
                shortCharges);
    }

    public Stress with(double cycles) {
        return new Stress(cycles, depth, celsius, thirst, shortCharges);
    }
}
