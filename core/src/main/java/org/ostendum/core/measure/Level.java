package org.ostendum.core.measure;

import org.ostendum.core.battery.LevelMarks;

/** Where the electrolyte stands in a cell, as seen through the filler hole. */
public enum Level {
    /** Plates showing. */
    EXPOSED,
    /** Plates covered, below the low mark. */
    LOW,
    RIGHT,
    /** Above the model's mark. */
    OVER;

    /**
     * @param millimetres of electrolyte above the plates; negative where they show
     * @param marks of the model
     */
    public static Level ofMillimetres(double millimetres, LevelMarks marks) {
        if (millimetres < 0) {
            return EXPOSED;
        } else if (millimetres < marks.lowMm()) {
            return LOW;
        }
        return millimetres > marks.overMm() ? OVER : RIGHT;
    }
}
