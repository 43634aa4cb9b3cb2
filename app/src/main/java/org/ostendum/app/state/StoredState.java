package org.ostendum.app.state;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.Snapshot;

/**
 * Where the fold of a battery's events stands.
 *
 * @param roundId its newest round, null when it never had one
 * @param severity of the worst that stands against it, as of the last event
 * @param rulesRevision the Rulebook's revision by which it was folded
 */
public record StoredState(
        long batteryId, @Nullable Long roundId, Severity severity, Snapshot snapshot, long rulesRevision) {}
