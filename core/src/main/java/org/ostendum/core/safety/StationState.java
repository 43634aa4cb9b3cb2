package org.ostendum.core.safety;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.rulebook.Rules;

/**
 * How one thing of a room stands.
 *
 * @param checkedAt its last check, null for never
 * @param sound whether that check found it in order
 * @param contents what belongs into it
 */
public record StationState(StationCheck check, @Nullable Instant checkedAt, boolean sound, Kit contents) {

    /** Ready, or why it cannot be relied on. */
    public enum Standing {
        READY,
        /** Due within a tenth of its interval. */
        SOON,
        OVERDUE,
        NEVER_CHECKED,
        FOUND_WANTING,
        EXPIRED;

        public boolean canBeReliedOn() {
            return this == READY || this == SOON;
        }
    }

    public Standing standing(Instant now, ZoneId zone, Rules rules) {
        Instant due = due(rules);
        if (due == null) {
            return Standing.NEVER_CHECKED;
        }
        if (!sound || !contents.isWhole()) {
            return Standing.FOUND_WANTING;
        }
        if (contents.isPast(LocalDate.ofInstant(now, zone))) {
            return Standing.EXPIRED;
        }
        if (now.isAfter(due)) {
            return Standing.OVERDUE;
        }
        Duration margin = rules.duration(check.interval()).dividedBy(10);
        return now.isAfter(due.minus(margin)) ? Standing.SOON : Standing.READY;
    }

    /** @return when the next check is due; null when none was ever made */
    public @Nullable Instant due(Rules rules) {
        return checkedAt == null ? null : checkedAt.plus(rules.duration(check.interval()));
    }
}
