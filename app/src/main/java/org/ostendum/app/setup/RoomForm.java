package org.ostendum.app.setup;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Code;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;

/** A room as typed; its lengths in cm. */
record RoomForm(
        @Code String code,
        @Needed @Text(max = 80) String name,
        @Needed @Within(min = "100", max = "20000") @Nullable Integer width,
        @Needed @Within(min = "100", max = "20000") @Nullable Integer depth) {

    static final RoomForm BLANK = new RoomForm("", "", null, null);
}
