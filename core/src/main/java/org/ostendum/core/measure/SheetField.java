package org.ostendum.core.measure;

/** What one entry on a round's sheet is about; {@link SheetValue} says what. */
public enum SheetField {
    GRAVITY,
    TOO_LOW,
    LEVEL,
    COLOUR,
    TEMPERATURE,
    SKIPPED
}
