package org.ostendum.app.state;

import java.util.Set;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.Coverage;

/**
 * A round on record, with the values that hold now.
 *
 * @param coverage how much of the battery it has read
 * @param past the round and its doubts
 * @param corrected cells whose value was corrected afterwards
 */
public record ClosedRound(long id, long ledgerEntryId, Coverage coverage, PastRound past, Set<Integer> corrected) {}
