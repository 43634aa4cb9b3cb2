package org.ostendum.app.form;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Values of a form in which nothing is wrong. */
public final class Checked {
    private Checked() {}

    /** What its constraint has made sure is there. */
    public static <T> T given(@Nullable T value) {
        return Objects.requireNonNull(value, "checked by the form");
    }
}
