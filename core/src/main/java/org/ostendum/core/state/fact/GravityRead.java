package org.ostendum.core.state.fact;

import java.time.Instant;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * The middle gravity of a round that can be relied on.
 *
 * @param isOfMostCells whether more than half of the cells were read
 */
public record GravityRead(Instant at, RoundState state, CorrectedGravity median, boolean isOfMostCells) {}
