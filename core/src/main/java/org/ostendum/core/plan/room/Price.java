package org.ostendum.core.plan.room;

import java.time.Instant;

/** What a kWh costs meanwhile. */
public record Price(Instant start, Instant end, double perKwh) {}
