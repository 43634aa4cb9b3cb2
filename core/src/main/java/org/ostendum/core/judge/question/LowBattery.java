package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.statistics.Robust;
import org.ostendum.core.measure.BatteryEvent;
import org.ostendum.core.measure.EventType;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;

/**
 * Why all cells stand low after what should have been a full charge. Too little put back: undercharged. Enough put back,
 * and an equalising charge lifts the readings: layered acid. Enough put back and nothing lifts them: sulfate.
 */
final class LowBattery {
    private static final Duration RECENT = Duration.ofDays(60);
    private static final Duration PAIR_APART = Duration.ofDays(45);
    /** Fewer charges do not make a balance. */
    private static final int LEAST_CHARGES = 8;

    private static final int PAIRS = 3;

    private LowBattery() {}

    enum Cause {
        UNDERCHARGED,
        STRATIFIED,
        SULFATED,
        UNKNOWN
    }

    static Cause cause(Case battery) {
        OptionalDouble returned = returned(battery);
        OptionalDouble rise = riseByEqualising(battery);
        double least = battery.rules().percent(RuleKey.RETURN_LEAST) / 100.0;
        double lifted = battery.rules().points(RuleKey.RISE_BY_MIXING).tenths();
        if (returned.isPresent() && returned.getAsDouble() < least) {
            return Cause.UNDERCHARGED;
        }
        if (rise.isPresent() && rise.getAsDouble() >= lifted) {
            return returned.isPresent() ? Cause.STRATIFIED : Cause.UNDERCHARGED;
        }
        if (returned.isPresent() || rise.isPresent()) {
            return Cause.SULFATED;
        }
        return Cause.UNKNOWN;
    }

    /** @return Ah put back for each Ah taken out of late; empty where that is not on record */
    static OptionalDouble returned(Case battery) {
        Instant now = battery.now();
        Instant from = now.minus(RECENT);
        List<BatteryEvent> charges = battery.events().between(EventType.CHARGE_END, from, now);
        double in = charges.stream().mapToDouble(BatteryEvent::quantity).sum();
        double out = battery.events().sum(EventType.DISCHARGE, from, now);
        return charges.size() < LEAST_CHARGES || in <= 0 || out <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(in / out);
    }

    /** @return tenths by which the median stands higher after an equalise than before it, usually; empty where never read */
    static OptionalDouble riseByEqualising(Case battery) {
        List<DatedGravities> full = battery.full();
        List<Double> rises = new ArrayList<>();
        for (int i = 1; i < full.size(); i++) {
            DatedGravities before = full.get(i - 1);
            DatedGravities after = full.get(i);
            boolean pair = before.state() == RoundState.FULL_CHARGE
                    && after.state() == RoundState.AFTER_EQUALISE
                    && Duration.between(before.takenAt(), after.takenAt()).compareTo(PAIR_APART) <= 0;
            if (pair) {
                rises.add((double) after.gravities().median().tenths()
                        - before.gravities().median().tenths());
            }
        }
        if (rises.isEmpty()) {
            return OptionalDouble.empty();
        }
        List<Double> last = rises.subList(Math.max(0, rises.size() - PAIRS), rises.size());
        return OptionalDouble.of(
                Robust.median(last.stream().mapToDouble(Double::doubleValue).toArray()));
    }

    static List<Evidence> evidence(Case battery) {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("median", battery.gravities().median()));
        returned(battery)
                .ifPresent(ratio -> evidence.add(new Evidence("returnedPercent", (int) Math.round(100 * ratio))));
        riseByEqualising(battery)
                .ifPresent(rise ->
                        evidence.add(new Evidence("riseByEqualising", new GravityDifference((int) Math.round(rise)))));
        return evidence;
    }
}
