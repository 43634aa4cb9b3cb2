package org.ostendum.core.plan.cost;

/**
 * How much of its charger's power a charge draws as it goes on: all at first, less as the voltage rises, a quarter while it finishes. Rule of
 * thumb for chargers whose current falls by itself, by simulated charges of 30 to 80 % of the capacity; a room's limits are held against the
 * full power all the while.
 */
public final class ChargePower {
    /** Of the full power, while it finishes and while it equalises. */
    static final double AT_THE_END = 0.25;

    private static final double WHILE_IT_FALLS = 0.62;
    /** Parts of the charge's time. */
    private static final double FALLS_FROM = 0.4;

    private static final double FALLS_UNTIL = 0.65;

    private ChargePower() {}

    /** Takes a part of a charge: seconds, and how much of the full power it draws, 0 to 1. */
    @FunctionalInterface
    public interface Part {
        void draws(long from, long until, double ofFull);
    }

    /** Tells the parts of a charge in their order. */
    public static void parts(long start, long end, Part each) {
        long falls = start + Math.round(FALLS_FROM * (end - start));
        long fallen = start + Math.round(FALLS_UNTIL * (end - start));
        each.draws(start, falls, 1);
        each.draws(falls, fallen, WHILE_IT_FALLS);
        each.draws(fallen, end, AT_THE_END);
    }
}
