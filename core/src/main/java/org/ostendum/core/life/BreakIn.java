package org.ostendum.core.life;

import java.time.LocalDate;
import java.util.Optional;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * A battery in its first cycles: it gives its whole capacity only after them, and is not taken down as far until then. Practice
 * {@code commission.break-in}.
 *
 * @param done cycles on record
 * @param of so many are its first
 * @param depthPercent the deepest it is discharged until then
 */
public record BreakIn(int done, int of, int depthPercent) {
    /** What came into service longer ago is broken in, however few of its charges are on record. */
    private static final int NEW_FOR_MONTHS = 12;

    /** @return empty for one that is broken in */
    public static Optional<BreakIn> of(LocalDate inServiceOn, LocalDate today, int charges, Rules rules) {
        int first = rules.count(RuleKey.BREAK_IN_CYCLES);
        return inServiceOn.isAfter(today.minusMonths(NEW_FOR_MONTHS)) && charges < first
                ? Optional.of(new BreakIn(charges, first, rules.percent(RuleKey.BREAK_IN_DEPTH)))
                : Optional.empty();
    }
}
