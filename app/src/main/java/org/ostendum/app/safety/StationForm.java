package org.ostendum.app.safety;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.core.safety.StationCheck;

/**
 * A new station as typed.
 *
 * @param room code of the room it stands in
 */
record StationForm(
        @Needed @Text(max = 80) String name,
        @Needed(message = Needed.CHOICE) @Nullable StationCheck kind,
        @Needed(message = Needed.CHOICE) String room) {
    static final StationForm BLANK = new StationForm("", null, "");
}
