package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.event.LogForm;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.RoundState;

/**
 * A few figures read in passing, as typed; any of them may be empty.
 *
 * @param cell of the gravity and the level, and of what was drawn off where that was one cell
 * @param level mm above the plates
 * @param drawn ml drawn off
 * @param state in which the gravity was read
 * @param meant not empty when an odd figure is said to be really so
 */
record ReadingForm(
        @Nullable String cell,
        @Nullable String gravity,
        @Nullable String level,
        @Nullable String drawn,
        @Nullable String temperature,
        @Nullable RoundState state,
        @Nullable String meant) {
    static ReadingForm in(RoundState state) {
        return new ReadingForm("", "", "", "", "", state, "");
    }

    static boolean isTyped(@Nullable String field) {
        return field != null && !field.isBlank();
    }

    boolean saysNothing() {
        return !isTyped(gravity) && !isTyped(level) && !isTyped(drawn) && !isTyped(temperature);
    }

    /** One of its figures, as it is written down on the battery's page. */
    LogForm log(EntryKind kind, @Nullable String figure, @Nullable String ofCell) {
        return new LogForm(kind, "", figure, ofCell, "", "", meant);
    }
}
