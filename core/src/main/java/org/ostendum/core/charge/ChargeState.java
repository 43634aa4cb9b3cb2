package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

/**
 * Where a battery stands between charge and work.
 *
 * @param phase charging, cooling, ready, worked
 * @param since when the phase began; null when unknown
 * @param left time until it is cool; zero in every other phase
 */
public record ChargeState(Phase phase, @Nullable Instant since, Duration left) {
    /** The phases of the conventional day, and none where nothing is on record. */
    public enum Phase {
        CHARGING,
        COOLING,
        READY,
        WORKED,
        UNKNOWN
    }

    /** Cooling by the clock: {@code charge.cool}. */
    public static ChargeState of(Happenings happenings, Instant now, Rules rules) {
        return of(happenings, now, rules, null, null);
    }

    /**
     * Cooling by the clock, or sooner by the thermometer.
     *
     * @param battery its electrolyte now; null where nothing measures it
     * @param room null likewise
     */
    public static ChargeState of(
            Happenings happenings, Instant now, Rules rules, @Nullable Celsius battery, @Nullable Celsius room) {
        if (happenings.isCharging()) {
            return new ChargeState(Phase.CHARGING, happenings.chargeStart(), Duration.ZERO);
        }
        Instant filled = happenings.filled();
        if (filled == null || !happenings.isFull()) {
            return new ChargeState(
                    happenings.discharge() == null ? Phase.UNKNOWN : Phase.WORKED,
                    happenings.discharge(),
                    Duration.ZERO);
        }
        Cooling clock = Cooling.of(filled, now, battery, room, rules);
        return clock.isReady(now)
                ? new ChargeState(Phase.READY, filled, Duration.ZERO)
                : new ChargeState(Phase.COOLING, filled, clock.left(now));
    }
}
