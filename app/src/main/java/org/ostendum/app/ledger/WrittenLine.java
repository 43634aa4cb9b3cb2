package org.ostendum.app.ledger;

import java.time.Instant;

/**
 * A line as it stands in the table, with its place in the chain.
 *
 * @param seq 1.. within the battery
 * @param previous hash of the line before it
 * @param hash as it was written
 */
public record WrittenLine(long batteryId, int seq, Instant recordedAt, NewEntry entry, String previous, String hash) {

    /** @return whether it follows a line of such a hash and still says what was hashed */
    public boolean follows(String hashBefore) {
        return previous.equals(hashBefore) && hash.equals(ChainHash.of(previous, batteryId, seq, recordedAt, entry));
    }
}
