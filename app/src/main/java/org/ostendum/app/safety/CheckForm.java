package org.ostendum.app.safety;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Text;

/**
 * A look at a station as typed.
 *
 * @param sound "true" where it was found ready
 */
record CheckForm(@Nullable String sound, @Text(max = 400) @Nullable String remark) {
    private static final int SHORTEST = 3;

    boolean isSound() {
        return "true".equals(sound);
    }

    String remarkText() {
        return remark == null ? "" : remark;
    }

    /** What is not ready needs a word on what is wrong. */
    boolean lacksRemark() {
        return !isSound() && remarkText().length() < SHORTEST;
    }
}
