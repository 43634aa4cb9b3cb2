package org.ostendum.core.state.fact;

import java.time.Instant;
import org.ostendum.core.quantity.Celsius;

/** A temperature of the electrolyte and when it was so. */
public record Heat(Celsius celsius, Instant at) {}
