package org.ostendum.core.voltage;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;

/**
 * A voltage round laid before the judge.
 *
 * @param happenings up to the round
 * @param gravity median of the newest hydrometer round that can be relied on and that no charge or work has followed; null for none
 */
public record VoltageCase(
        BatteryModel model,
        Rules rules,
        VoltageRound round,
        Happenings happenings,
        @Nullable CorrectedGravity gravity) {}
