package org.ostendum.core.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.Stage;

/** Whether a battery is ready for a discharge test, asked of its one state. Source: IEC 60254-1. */
public final class TestReadiness {
    private static final Duration RESTED_FROM = Duration.ofHours(1);
    private static final Duration RESTED_UNTIL = Duration.ofHours(24);
    private static final Celsius COLDEST = Celsius.of(15);
    private static final Celsius WARMEST = Celsius.of(35);

    private TestReadiness() {}

    /** What has to hold before the load goes on. */
    public enum Need {
        /** Off charge, here and in nobody's hands. */
        FREE(true),
        /** No damage, loose post or worn cable: they carry the whole current. */
        SOUND(true),
        FULL(false),
        /** One to twenty-four hours after the end of its charge. */
        RESTED(false),
        /** 15 to 35 °C, so that the correction holds. */
        TEMPERATE(false),
        PLATES_COVERED(false);

        private final boolean always;

        Need(boolean always) {
            this.always = always;
        }

        /** @return whether no reason goes past it */
        public boolean isAlways() {
            return always;
        }
    }

    /** One need and what is known of it. */
    public record Asked(Need need, Answer answer) {
        public boolean shuts() {
            return need.isAlways() && !answer.isYes();
        }
    }

    /** @return every need that the battery has, in the order of asking */
    public static List<Asked> of(BatteryState battery) {
        List<Asked> asked = new ArrayList<>();
        boolean here =
                battery.stage() == Stage.IN_SERVICE || battery.stage() == Stage.HELD || battery.stage() == Stage.STORED;
        asked.add(new Asked(Need.FREE, Answer.of(here && !battery.isCharging() && battery.inHand() == null)));
        boolean sound = battery.defects().stream().noneMatch(d -> d.kind().shutsCharge());
        asked.add(new Asked(Need.SOUND, Answer.of(sound)));
        asked.add(new Asked(
                Need.FULL,
                battery.full().isYes() ? Answer.YES : of(battery.full().isNo())));
        asked.add(new Asked(Need.RESTED, rested(battery.charging().chargeEnded(), battery.asOf())));
        asked.add(new Asked(Need.TEMPERATE, temperate(battery.heat().temperature())));
        if (battery.model().kind().hasCaps()) {
            asked.add(new Asked(Need.PLATES_COVERED, battery.levels().platesCovered()));
        }
        return asked;
    }

    private static Answer of(boolean isNo) {
        return isNo ? Answer.NO : Answer.UNKNOWN;
    }

    private static Answer rested(@Nullable Instant ended, Instant now) {
        if (ended == null) {
            return Answer.UNKNOWN;
        }
        Duration since = Duration.between(ended, now);
        return Answer.of(since.compareTo(RESTED_FROM) >= 0 && since.compareTo(RESTED_UNTIL) <= 0);
    }

    private static Answer temperate(@Nullable Heat heat) {
        return heat == null
                ? Answer.UNKNOWN
                : Answer.of(
                        heat.celsius().compareTo(COLDEST) >= 0 && heat.celsius().compareTo(WARMEST) <= 0);
    }
}
