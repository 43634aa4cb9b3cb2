package org.ostendum.app.past;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;

/**
 * What stands on a cell, or on a block of a pack, as typed.
 *
 * @param place number of the cell; of the block in a pack
 */
record MarkForm(
        @Needed @Nullable Integer place,
        @Text(max = LONGEST) @Nullable String serial,
        @Text(max = LONGEST) @Nullable String dateCode) {
    static final int LONGEST = 40;

    static MarkForm at(int place) {
        return new MarkForm(place, "", "");
    }

    boolean saysNothing() {
        return said(serial) == null && said(dateCode) == null;
    }

    static @Nullable String said(@Nullable String typed) {
        return typed == null || typed.isBlank() ? null : typed.strip();
    }
}
