package org.ostendum.app.plan.house;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that has gone wrong with a plan.
 *
 * @param about code of the charger, battery or machine, or login of the person
 * @param amount Ah of one more machine; null for others
 */
public record Mishap(long id, Kind kind, String about, Instant from, Instant until, @Nullable Double amount) {
    public enum Kind {
        CHARGER_DEAD,
        PERSON_AWAY,
        /** Back early, or emptier than was thought. */
        BATTERY_FLAT,
        /** A cell found bad, or the like: it does not work meanwhile. */
        BATTERY_OUT,
        /** A machine that is needed besides. */
        ONE_MORE
    }

    boolean isOf(Kind asked, String code) {
        return kind == asked && about.equals(code);
    }
}
