package org.ostendum.core.next;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.rulebook.Rules;

/**
 * What is known of a battery when its next jobs are worked out.
 *
 * @param code of the battery
 * @param duty what it is made for
 * @param hasCaps whether it can be read and watered
 * @param cells number of cells
 * @param rules in force for it
 * @param lastRound when its last round was taken; null for none
 * @param findings of the verdict after that round, worst first
 * @param happenings up to now
 * @param washed when its top was last washed; null where nothing is on record
 */
public record BatteryNow(
        String code,
        Duty duty,
        boolean hasCaps,
        int cells,
        Rules rules,
        @Nullable Instant lastRound,
        List<Finding> findings,
        Happenings happenings,
        @Nullable Instant washed) {

    public BatteryNow {
        findings = List.copyOf(findings);
    }
}
