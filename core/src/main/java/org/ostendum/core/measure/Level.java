package org.ostendum.core.measure;

/** Where the electrolyte stands in a cell, as seen through the filler hole. */
public enum Level {
    /** Plates showing. */
    EXPOSED,
    /** Plates covered, below the low mark. */
    LOW,
    RIGHT,
    /** Above the model's mark. */
    OVER
}
