package org.ostendum.app.plan.house;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that has gone wrong with a plan.
 *
 * @param about code of the charger, battery or machine, login of the person, or {@link #pair}
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
        ONE_MORE,
        /** A battery is not to go on a charger: said of a job of the plan. */
        NOT_THERE;

        /** @return whether it is said on the page of what has gone wrong */
        public boolean isAccident() {
            return this != NOT_THERE;
        }
    }

    /** Joins the battery and the charger of {@link Kind#NOT_THERE}. */
    private static final String ON = " / ";

    /** @return what it is about where a battery is not to go on a charger */
    public static String pair(String battery, String charger) {
        return battery + ON + charger;
    }

    boolean forbids(String battery, String charger) {
        return isOf(Kind.NOT_THERE, pair(battery, charger));
    }

    boolean isOf(Kind asked, String code) {
        return kind == asked && about.equals(code);
    }
}
