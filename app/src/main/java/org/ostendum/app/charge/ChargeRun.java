package org.ostendum.app.charge;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.ChargeKind;

/**
 * One charge on a charger.
 *
 * @param chargerId null where nobody has said which
 * @param endedAt null while it runs
 * @param amps a low current instead of the charger's own course; null for its own
 * @param lasts how long that low current flows
 * @param meter what the charger has said of it
 */
public record ChargeRun(
        long id,
        long batteryId,
        String battery,
        @Nullable Long chargerId,
        @Nullable String charger,
        ChargeKind kind,
        Instant begunAt,
        @Nullable Instant endedAt,
        @Nullable Double amps,
        @Nullable Duration lasts,
        Meter meter) {

    /**
     * What a charger says of one of its charges.
     *
     * @param starts its own count of charges, by which this one is known; null before it was heard
     * @param from when current began to flow, by the charger's own clock laid against ours once
     * @param lampAt when it said that it is done
     * @param ampHours put in; null before it was heard
     * @param ampHoursBefore of them, before it began anew
     * @param wattHoursBefore its energy meter when it was first heard
     * @param wattHours its energy meter now
     * @param hottest °C
     */
    public record Meter(
            @Nullable Integer starts,
            @Nullable Instant from,
            @Nullable Instant lampAt,
            @Nullable Double ampHours,
            double ampHoursBefore,
            @Nullable Long wattHoursBefore,
            @Nullable Long wattHours,
            @Nullable Integer hottest) {}

    /** The same charge, of which the charger has said more. */
    public ChargeRun heard(Meter now) {
        return new ChargeRun(id, batteryId, battery, chargerId, charger, kind, begunAt, endedAt, amps, lasts, now);
    }

    /** @return kWh drawn for it; null where nothing metered them */
    public @Nullable Double kilowattHours() {
        Long before = meter.wattHoursBefore();
        Long now = meter.wattHours();
        return before == null || now == null ? null : (Double) ((now - before) / 1000.0);
    }
}
