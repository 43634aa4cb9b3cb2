package org.ostendum.core.commission;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;

/**
 * One hourly row of an initial charge.
 *
 * @param volts of the whole battery, charger on
 * @param amps of the charger, 0 while it pauses
 * @param temperature of the electrolyte in the warmest cell looked at
 * @param gravity of the lowest cell looked at, corrected; null when none was drawn
 */
public record ChargeRow(
        Instant at, Volts volts, double amps, Celsius temperature, @Nullable CorrectedGravity gravity) {}
