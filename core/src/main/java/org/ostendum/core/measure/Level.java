package org.ostendum.core.measure;

/** Where the electrolyte stands in a cell, as seen through the filler hole. */
public enum Level {
    /** Plates showing. */
    EXPOSED,
    /** Plates covered, below the low mark. */
    LOW,
    RIGHT,
    /** Above the model's mark. */
    OVER;

    /** A quarter inch above the plates' shield is where most marks stand (rule of thumb). */
    private static final double LOW_BELOW = 6;

    private static final double OVER_ABOVE = 25;

    /** @param millimetres of electrolyte above the plates; negative where they show */
    public static Level ofMillimetres(double millimetres) {
        if (millimetres < 0) {
            return EXPOSED;
        } else if (millimetres < LOW_BELOW) {
            return LOW;
        }
        return millimetres > OVER_ABOVE ? OVER : RIGHT;
    }
}
