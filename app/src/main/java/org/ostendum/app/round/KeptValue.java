package org.ostendum.app.round;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.SheetEntry;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.measure.SheetValue;

/** A value of an open round that has reached the database, and who entered it. */
public record KeptValue(
        long id, int cell, SheetField field, @Nullable SheetValue value, Instant at, long personId, String person) {

    public SheetEntry entry() {
        return new SheetEntry(cell, field, value);
    }
}
