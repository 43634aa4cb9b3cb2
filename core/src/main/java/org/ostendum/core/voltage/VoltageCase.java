package org.ostendum.core.voltage;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;

/**
 * A voltage round laid before the judge.
 *
 * @param chargeEnded when the last charge before it ended; null for none on record
 * @param unmixedSince when water was poured that is not mixed in yet; null for none
 * @param gravity median of the newest hydrometer round that can be relied on and that no charge or work has followed; null for none
 */
public record VoltageCase(
        BatteryModel model,
        Rules rules,
        VoltageRound round,
        @Nullable Instant chargeEnded,
        @Nullable Instant unmixedSince,
        @Nullable CorrectedGravity gravity) {}
