package org.ostendum.core.aircraft;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;

/** Whether an aircraft's battery may be tagged serviceable: everything is asked of its one state, and what nobody knows is no yes. */
public final class Serviceable {
    private Serviceable() {}

    /** What is asked. */
    public enum Need {
        /** Nothing wrong with case, vents, posts and connector, and no finding that stops it. */
        SOUND,
        FULL,
        /** Charged within the days that it may stand. */
        FRESH,
        /** 80 % of its rating in a test within the year: 24 of 30 minutes. */
        CAPACITY,
        /** A licensed mechanic has signed for what was done. */
        SIGNED
    }

    /** One need and what is known of it. */
    public record Asked(Need need, Answer answer) {}

    public static List<Asked> of(BatteryState battery) {
        List<Asked> asked = new ArrayList<>();
        boolean sound = battery.defects().isEmpty() && battery.severity().compareTo(Severity.ACT) < 0;
        asked.add(new Asked(Need.SOUND, Answer.of(sound)));
        asked.add(new Asked(
                Need.FULL, battery.full().isYes() ? Answer.YES : battery.full().isNo() ? Answer.NO : Answer.UNKNOWN));
        asked.add(new Asked(Need.FRESH, fresh(battery)));
        asked.add(new Asked(Need.CAPACITY, capacity(battery)));
        asked.add(new Asked(Need.SIGNED, Answer.of(battery.unsignedSince() == null)));
        return asked;
    }

    private static Answer fresh(BatteryState battery) {
        Instant ended = battery.charging().chargeEnded();
        Duration may = battery.rules().duration(RuleKey.STORE_CHARGE_AIRCRAFT);
        return ended == null
                ? Answer.UNKNOWN
                : Answer.of(Duration.between(ended, battery.asOf()).compareTo(may) <= 0);
    }

    private static Answer capacity(BatteryState battery) {
        @Nullable Instant at = battery.tests().at();
        @Nullable Double part = battery.tests().part();
        if (at == null || part == null) {
            return Answer.UNKNOWN;
        } else if (part < TestSheet.PASSES_FROM) {
            return Answer.NO;
        }
        Duration within = battery.rules().duration(RuleKey.TEST_AIRCRAFT);
        return Duration.between(at, battery.asOf()).compareTo(within) <= 0 ? Answer.YES : Answer.UNKNOWN;
    }

    public static boolean isServiceable(List<Asked> asked) {
        return asked.stream().allMatch(one -> one.answer().isYes());
    }
}
