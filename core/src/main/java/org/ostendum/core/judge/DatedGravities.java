package org.ostendum.core.judge;

import java.time.Instant;
import org.ostendum.core.measure.RoundState;

/** Corrected gravities and when, and in which state, they were read. */
public record DatedGravities(Instant takenAt, RoundState state, Gravities gravities) {}
