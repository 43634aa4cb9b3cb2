package org.ostendum.app.device;

import java.time.Instant;

/**
 * What a device said last.
 *
 * @param status one of the records of {@code core.device}
 * @param at by our clock
 * @param nanos by the clock that never jumps
 */
public record DatedStatus<S>(S status, Instant at, long nanos) {}
