package org.ostendum.web.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.Happenings;

/**
 * What is held of a battery now, derived from its ledger and rounds.
 *
 * @param roundId the round the verdict is about, null when it never had one
 * @param course middle and lowest gravity over its last full rounds
 * @param washedAt when its top was last washed, null where nothing is on record
 * @param rulesRevision the Rulebook's revision at the verdict
 */
public record BatteryState(
        long batteryId,
        @Nullable Long roundId,
        @Nullable Instant roundTakenAt,
        Verdict verdict,
        BatteryCourse course,
        Instant judgedAt,
        long rulesRevision,
        Happenings happenings,
        @Nullable Instant washedAt) {}
