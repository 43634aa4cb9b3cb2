package org.ostendum.core.state;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.state.fact.Facts;

/**
 * Where a fold stands: enough to go on from it, and to say everything that is said of a battery.
 *
 * @param upTo when the last event folded happened; null for none
 * @param latest what the judge said of the newest round alone; null before the first
 * @param course of its full rounds
 */
public record Snapshot(
        Facts facts, Findings findings, @Nullable Verdict latest, BatteryCourse course, @Nullable Instant upTo) {
    public static final Snapshot NOTHING = new Snapshot(Facts.NOTHING, Findings.NONE, null, BatteryCourse.NONE, null);

    /** @return whether an event can be folded onto it, being no older than what was */
    public boolean isBefore(Instant event) {
        return upTo == null || !event.isBefore(upTo);
    }
}
