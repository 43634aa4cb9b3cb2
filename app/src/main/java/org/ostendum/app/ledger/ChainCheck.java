package org.ostendum.app.ledger;

import org.jspecify.annotations.Nullable;

/**
 * Whether a battery's past is as it was written.
 *
 * @param lines number of lines looked at
 * @param brokenAt the first line that is not as it was written, null when all are
 * @param changedRound the first round whose readings are not those of its line, null when all are
 */
public record ChainCheck(int lines, @Nullable Integer brokenAt, @Nullable Integer changedRound) {
    public boolean isWhole() {
        return brokenAt == null && changedRound == null;
    }
}
