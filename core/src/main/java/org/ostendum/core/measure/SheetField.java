package org.ostendum.core.measure;

/** What one entry on a round's sheet is about. */
public enum SheetField {
    /** Thousandths: {@code 1265}. */
    GRAVITY,
    /** {@code true}: the level was too low to draw a sample. */
    TOO_LOW,
    /** Name of a {@link Level}. */
    LEVEL,
    /** Name of a {@link Colour}. */
    COLOUR,
    /** Tenths of a degree Celsius; on cell 0 for the whole round. */
    TEMPERATURE,
    /** {@code true}: passed over on purpose. */
    SKIPPED
}
