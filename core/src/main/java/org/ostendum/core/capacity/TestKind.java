package org.ostendum.core.capacity;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.quantity.Amperes;

/** The discharge tests of the trade. Sources: IEC 60254-1 (traction), IEC 60896-11 (stationary), FAA AC 43.13-1B (aircraft). */
public enum TestKind {
    SIX_HOURS(Duty.MOTIVE, 6),
    TWENTY_HOURS(Duty.DEEP_CYCLE, 20),
    /** So many minutes at so many amperes, as sheets of blocks for cars and platforms state it. */
    MINUTES_AT_AMPERES(Duty.DEEP_CYCLE, 0),
    HALF_HOUR(Duty.AIRCRAFT, 0.5),
    ONE_HOUR(Duty.AIRCRAFT, 1),
    TEN_HOURS(Duty.STATIONARY, 10);

    /** Rule of thumb for flooded cells where the sheet names one rate only. */
    private static final double PEUKERT = 1.20;

    private final Duty duty;
    private final double hours;

    TestKind(Duty duty, double hours) {
        this.duty = duty;
        this.hours = hours;
    }

    /** @return those made with batteries of a duty */
    public static List<TestKind> of(Duty duty) {
        return Arrays.stream(values()).filter(kind -> kind.duty == duty).toList();
    }

    /** @return how long a sound battery lasts at its current; null where the sheet says it with its amperes */
    public @Nullable Duration lasts() {
        return hours == 0 ? null : Duration.ofSeconds(Math.round(hours * 3600));
    }

    /**
     * The constant current of the test: the rating over its hours, and for other hours than the rating's by Peukert with 1.20.
     *
     * @return null where the sheet says it
     */
    public @Nullable Amperes current(BatteryModel model) {
        if (hours == 0) {
            return null;
        }
        double rated = model.capacity().ampHours() / model.rateHours();
        double amperes = rated * Math.pow(model.rateHours() / hours, 1 / PEUKERT);
        return new Amperes(Math.round(amperes * 10) / 10.0);
    }
}
