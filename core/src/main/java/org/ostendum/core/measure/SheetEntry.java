package org.ostendum.core.measure;

import org.jspecify.annotations.Nullable;

/**
 * One value as it was entered; a later entry for the same cell and field takes its place without removing it.
 *
 * @param cell 1.., or 0 for the whole round
 * @param field that of the value
 * @param value null takes the earlier value back
 */
public record SheetEntry(int cell, SheetField field, @Nullable SheetValue value) {
    public SheetEntry {
        if (value != null && value.field() != field) {
            throw new IllegalArgumentException(value + " does not stand in " + field);
        }
    }

    /** A value entered for a cell. */
    public static SheetEntry of(int cell, SheetValue value) {
        return new SheetEntry(cell, value.field(), value);
    }
}
