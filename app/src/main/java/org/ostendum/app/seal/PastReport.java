package org.ostendum.app.seal;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a look at the whole past has found.
 *
 * @param lines of all batteries
 * @param seals they were held against
 * @param sealedAt when the newest of these was made; null for none
 * @param problems none where all is as it was written
 */
record PastReport(
        Instant at, int batteries, int lines, int seals, @Nullable Instant sealedAt, List<SealProblem> problems) {
    PastReport {
        problems = List.copyOf(problems);
    }

    public boolean isWhole() {
        return problems.isEmpty();
    }
}
