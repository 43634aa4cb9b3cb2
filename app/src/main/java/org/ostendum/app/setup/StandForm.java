package org.ostendum.app.setup;

import static org.ostendum.app.form.Checked.given;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Code;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;

/**
 * A stand as typed; where it is and its lengths in cm from the back left corner of the room.
 *
 * @param amps of a charger over each of its slots; null for none
 * @param cells that those chargers charge
 */
record StandForm(
        @Code String code,
        @Needed @Text(max = 60) String name,
        @Needed(message = Needed.CHOICE) @Nullable StandKind kind,
        @Needed @Within(min = "0", max = "20000") @Nullable Integer x,
        @Needed @Within(min = "0", max = "20000") @Nullable Integer y,
        @Needed @Within(min = "30", max = "20000") @Nullable Integer width,
        @Needed @Within(min = "30", max = "20000") @Nullable Integer depth,
        @Needed @Within(min = "1", max = "60") @Nullable Integer slots,
        @Within(min = "1", max = "1000") @Nullable Integer amps,
        @Within(min = "1", max = "144") @Nullable Integer cells) {
    private static final int USUAL_SLOTS = 6;

    static final StandForm BLANK = new StandForm("", "", null, null, null, null, null, USUAL_SLOTS, null, null);

    /** Where its right side is, cm. */
    int right() {
        return given(x) + given(width);
    }

    /** Where its front is, cm. */
    int front() {
        return given(y) + given(depth);
    }

    /** The stand that a form without faults makes, without its slots. */
    Stand stand() {
        return new Stand(0, code, name, given(kind), given(x), given(y), given(width), given(depth), List.of());
    }
}
