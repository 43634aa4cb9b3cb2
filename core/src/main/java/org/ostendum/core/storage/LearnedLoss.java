package org.ostendum.core.storage;

import org.ostendum.core.quantity.OutOfRange;

/**
 * How fast a battery loses what it has, against the rule of thumb: what is usual of any battery, and what its own readings while it
 * stood say. Bayes' rule with normal errors.
 *
 * @param factor of the rule of thumb, likely
 * @param spread of it
 */
public record LearnedLoss(double factor, double spread) {
    /** Of batteries that nobody has read while they stood. */
    public static final LearnedLoss USUAL = new LearnedLoss(1, 0.35);

    /** Points that two readings of one cell differ by without anything having changed. */
    private static final double READING = 5;

    private static final double LEAST = 0.2;
    /** One in a hundred lies beyond it. */
    private static final double ONE_IN_HUNDRED = 2.33;

    /**
     * @param foretold points by the rule of thumb, above 0
     * @param lost points between two readings
     */
    public LearnedLoss seen(double foretold, double lost) {
        OutOfRange.check("points foretold", foretold, 0.01, 1000);
        double told = foretold * foretold / (READING * READING);
        double known = 1 / (spread * spread);
        double now = (known * factor + told * (lost / foretold)) / (known + told);
        return new LearnedLoss(Math.max(LEAST, now), Math.sqrt(1 / (known + told)));
    }

    /** @return a factor that 99 of 100 batteries do not exceed */
    public double atMost() {
        return factor + ONE_IN_HUNDRED * spread;
    }
}
