package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.statistics.Robust;

/**
 * Why all cells stand low after what should have been a full charge. Too little put back: undercharged. Enough put back,
 * and an equalising charge lifts the readings: layered acid. Enough put back and nothing lifts them: sulfate.
 */
final class LowBattery {
    private static final Duration RECENT = Duration.ofDays(30);
    /** So many of the distances within which rounds are compared are looked back, ten months for frequent ones. */
    private static final int LOOKED_BACK = 7;
    /** Fewer charges do not make a balance. */
    private static final int LEAST_CHARGES = 8;

    /** Rounds of each kind for a comparison; the kinds' medians scatter with the water in the cells. */
    private static final int LEAST_ROUNDS = 3;

    /** An equalised round is compared with ordinary ones so near in time, or nearer than rounds usually lie apart. */
    private static final Duration BESIDE = Duration.ofDays(45);

    private static final Duration BESIDE_MOST = Duration.ofDays(120);
    private static final double GAPS = 1.6;
    /** A fall of the battery's median since its beginning that water in the cells does not make. */
    private static final double FALL_TOLD = 100;

    /** Tenths; the medians of two rounds never agree better. */
    private static final double LEAST_SCATTER = 25;
    /** So many times the limit is a rise that needs no second sign. */
    private static final double CLEARLY = 2;

    /** mV a cell at 25 °C: below it no cell gasses, and no charge is at its end. */
    private static final double GASSING_FROM = 2400;

    /** So many times the limit is a drop from one equalising charge to a round after it that tells by itself. */
    private static final double DROP = 3;

    private static final int LEAST_EQUALISED = 2;
    /** Where equalised rounds have fallen by so much of what ordinary ones have, mixing does not bring them back. */
    private static final double FALL_WITH = 0.5;
    /** Tenths from three equalised rounds to the next three. */
    private static final double STILL_FALLING = 50;
    /** One round before the latest may have been read too soon after water by chance. */
    private static final int UNMIXED_BEFORE = 2;

    private static final double MEDIAN_ERROR = 1.25;
    private static final double SURE = 3;

    private final Case battery;
    /** Rounds on an ordinary full charge, oldest first. */
    private final List<DatedGravities> ordinary;

    private final List<DatedGravities> equalised;
    private final Duration beside;
    private final OptionalDouble returned;
    private final double[] rises;
    private final Cause cause;

    private LowBattery(Case battery) {
        this.battery = battery;
        this.ordinary = battery.full().stream()
                .filter(dated -> dated.state() == RoundState.FULL_CHARGE)
                .toList();
        this.equalised = battery.full().stream()
                .filter(dated -> dated.state() == RoundState.AFTER_EQUALISE)
                .toList();
        this.beside = beside(battery);
        this.returned = returned(battery);
        this.rises = rises();
        this.cause = findCause();
    }

    static LowBattery of(Case battery) {
        return battery.once(LowBattery.class, LowBattery::new);
    }

    enum Cause {
        UNDERCHARGED,
        STRATIFIED,
        SULFATED,
        UNKNOWN
    }

    Cause cause() {
        return cause;
    }

    private Cause findCause() {
        if (isReturnShort()) {
            return Cause.UNDERCHARGED;
        }
        double apart = battery.rules().number(RuleKey.CHARGE_VOLTS_APART);
        double volts = battery.chargeVolts().risen().orElse(0);
        if (volts >= apart) {
            return Cause.SULFATED;
        } else if (volts <= -apart || battery.chargeVolts().now().orElse(Double.MAX_VALUE) < GASSING_FROM) {
            return Cause.UNDERCHARGED;
        }
        Cause byEqualising = byEqualising();
        Cause cause = byEqualising == Cause.UNKNOWN && hasDropped() ? Cause.STRATIFIED : byEqualising;
        // What lies in no layers is still low: it is told as such, never passed over.
        return cause == Cause.STRATIFIED && isHardening() ? Cause.UNKNOWN : cause;
    }

    /** @return whether too little was put back of late; false also where that is not on record */
    private boolean isReturnShort() {
        return returned.isPresent() && returned.getAsDouble() < battery.rules().percent(RuleKey.RETURN_LEAST) / 100.0;
    }

    /** @return whether its readings have come down since its beginning, and a second sign tells why, though they are not low yet */
    boolean isFalling() {
        return cause != Cause.UNKNOWN && fallenSinceBeginning() >= FALL_TOLD;
    }

    GravityDifference fallen() {
        return new GravityDifference((int) Math.round(fallenSinceBeginning()));
    }

    /** @return whether the latest round came out low because the battery is not charged to its end: that holds for each cell */
    boolean isUndercharged() {
        return isLowNow() && cause == Cause.UNDERCHARGED;
    }

    /** What rounds after equalising say, since ordinary ones came out low: low as well, or not. */
    private Cause byEqualising() {
        List<Boolean> low = new ArrayList<>();
        for (int i = battery.full().size() - 1; i >= 0; i--) {
            DatedGravities dated = battery.full().get(i);
            if (dated.state() == RoundState.AFTER_EQUALISE) {
                low.add(isLow(dated));
            } else if (!isLow(dated)) {
                break;
            }
        }
        if (low.size() < LEAST_EQUALISED || riseByEqualising().isEmpty()) {
            return Cause.UNKNOWN;
        }
        if (isLifted()) {
            return returned.isPresent() ? Cause.STRATIFIED : Cause.UNDERCHARGED;
        }
        double needed = battery.rules().points(RuleKey.RISE_BY_MIXING).tenths();
        boolean nothingLifts = riseByEqualising().orElse(0) < needed
                && low.stream().limit(LEAST_EQUALISED).allMatch(l -> l);
        return nothingLifts ? Cause.SULFATED : Cause.UNKNOWN;
    }

    /**
     * Enough was put back, and yet it reads low, though after the equalising charge shortly before it did not: what lies
     * between is neither sulfate nor want of charge.
     */
    private boolean hasDropped() {
        List<DatedGravities> full = battery.full();
        if (returned.isEmpty() || !isLowNow() || full.get(full.size() - 1).state() != RoundState.FULL_CHARGE) {
            return false;
        }
        DatedGravities now = full.get(full.size() - 1);
        double needed = DROP * battery.rules().points(RuleKey.RISE_BY_MIXING).tenths();
        return full.stream()
                .filter(d -> d.state() == RoundState.AFTER_EQUALISE && !isLow(d))
                .filter(d -> Duration.between(d.takenAt(), now.takenAt()).compareTo(beside) <= 0)
                .anyMatch(d -> d.gravities().median().tenths()
                                - now.gravities().median().tenths()
                        >= needed);
    }

    /** @return whether the latest round came out low */
    boolean isLowNow() {
        List<DatedGravities> full = battery.full();
        return !full.isEmpty() && isLow(full.get(full.size() - 1));
    }

    private boolean isLow(DatedGravities dated) {
        return isLow(dated.gravities());
    }

    private boolean isLow(Gravities gravities) {
        GravityDifference tolerance = battery.rules().points(RuleKey.FULL_TOLERANCE);
        return !gravities.isEmpty()
                && gravities
                                .median()
                                .plus(tolerance)
                                .compareTo(battery.model().marks().fullFrom())
                        < 0;
    }

    private static Duration beside(Case battery) {
        List<DatedGravities> full = battery.full();
        if (full.size() < 2) {
            return BESIDE;
        }
        double[] gaps = IntStream.range(1, full.size())
                .mapToDouble(i -> Duration.between(
                                full.get(i - 1).takenAt(), full.get(i).takenAt())
                        .toHours())
                .toArray();
        Duration usual = Duration.ofHours(Math.round(GAPS * Robust.median(gaps)));
        return usual.compareTo(BESIDE) < 0 ? BESIDE : usual.compareTo(BESIDE_MOST) > 0 ? BESIDE_MOST : usual;
    }

    private static OptionalDouble returned(Case battery) {
        Instant now = battery.now();
        Instant from = now.minus(RECENT);
        int charges = battery.events().between(ChargeEnded.class, from, now).size();
        double in = battery.events().returned(from, now);
        double out = battery.events().taken(from, now);
        return charges < LEAST_CHARGES || in <= 0 || out <= 0 ? OptionalDouble.empty() : OptionalDouble.of(in / out);
    }

    /**
     * @return tenths by which the battery's median usually stands higher after equalising than at the ordinary rounds
     *     beside it; empty with too few
     */
    OptionalDouble riseByEqualising() {
        return rises.length < LEAST_ROUNDS ? OptionalDouble.empty() : OptionalDouble.of(Robust.median(rises));
    }

    /** @return whether the acid lies in layers: an equalising charge lifts the readings, and enough was put back before */
    boolean isLayered() {
        return !isReturnShort() && !isHardening() && (isLifted() || cause == Cause.STRATIFIED);
    }

    /** @return whether equalised rounds have come down with the ordinary ones: what lies in layers is found again by mixing */
    private boolean isHardening() {
        double fallen = fallenSinceBeginning(equalised, LEAST_EQUALISED);
        double needed = battery.rules().points(RuleKey.RISE_BY_MIXING).tenths();
        return fallen >= needed && fallen >= FALL_WITH * fallenSinceBeginning() && isFallingStill();
    }

    /** Sulfate goes on growing; acid that lies in layers comes back to the same place by each mixing. */
    private boolean isFallingStill() {
        int n = equalised.size();
        return n >= 2 * LEAST_ROUNDS
                && middle(equalised.subList(n - 2 * LEAST_ROUNDS, n - LEAST_ROUNDS))
                                - middle(equalised.subList(n - LEAST_ROUNDS, n))
                        >= STILL_FALLING;
    }

    /**
     * @return whether it never gets so far that water mixes in: round after round is read too soon after water though it was charged
     *     between, too little is put back, and what is drawn reads low
     */
    boolean neverMixes() {
        return isReturnShort() && isUnmixed(battery.latest()) && isLow(battery.gravities()) && wasUnmixedBefore();
    }

    private boolean wasUnmixedBefore() {
        List<PastRound> past = battery.past();
        return past.size() >= UNMIXED_BEFORE
                && past.subList(past.size() - UNMIXED_BEFORE, past.size()).stream()
                        .allMatch(LowBattery::isUnmixed);
    }

    private static boolean isUnmixed(PastRound round) {
        return round.round().state().isFull() && round.doubts().equals(List.of(Doubt.AFTER_WATER));
    }

    /**
     * Whether the rise is large and surely no chance. A rise that is not very large counts only where ordinary rounds
     * have come down too: the water in the cells moves medians as well.
     */
    private boolean isLifted() {
        if (rises.length < LEAST_ROUNDS) {
            return false;
        }
        double rise = Robust.median(rises);
        double error = MEDIAN_ERROR * Math.max(LEAST_SCATTER, Robust.deviation(rises)) / Math.sqrt(rises.length);
        double needed = battery.rules().points(RuleKey.RISE_BY_MIXING).tenths();
        boolean cameDown = fallenSinceBeginning() >= needed;
        return rise >= SURE * error && rise >= (cameDown ? needed : CLEARLY * needed);
    }

    private double[] rises() {
        Instant from = battery.now().minus(beside.multipliedBy(LOOKED_BACK));
        return battery.full().stream()
                .filter(dated -> dated.state() == RoundState.AFTER_EQUALISE)
                .filter(dated -> dated.takenAt().isAfter(from))
                .map(this::rise)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
    }

    private OptionalDouble rise(DatedGravities equalised) {
        Instant from = equalised.takenAt().minus(beside);
        Instant to = equalised.takenAt().plus(beside);
        double[] near = ordinary.stream()
                .filter(dated ->
                        !dated.takenAt().isBefore(from) && !dated.takenAt().isAfter(to))
                .mapToDouble(dated -> dated.gravities().median().tenths())
                .toArray();
        return near.length == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(equalised.gravities().median().tenths() - Robust.median(near));
    }

    /** @return tenths by which ordinary rounds now read below the first ones */
    private double fallenSinceBeginning() {
        return fallenSinceBeginning(ordinary, LEAST_ROUNDS);
    }

    private static double fallenSinceBeginning(List<DatedGravities> rounds, int least) {
        int n = rounds.size();
        return n < 2 * least ? 0 : middle(rounds.subList(0, n / 3)) - middle(rounds.subList(n - least, n));
    }

    private static double middle(List<DatedGravities> rounds) {
        return Robust.median(rounds.stream()
                .mapToDouble(dated -> dated.gravities().median().tenths())
                .toArray());
    }

    /** @return what was put back of late, in percent of what was taken out; 0 where that is not on record */
    int returnedPercent() {
        return (int) Math.round(100 * returned.orElse(0));
    }

    List<Evidence> evidence() {
        List<Evidence> evidence = new ArrayList<>();
        evidence.add(new Evidence("median", battery.gravities().median()));
        returned.ifPresent(ratio -> evidence.add(new Evidence("returnedPercent", (int) Math.round(100 * ratio))));
        riseByEqualising()
                .ifPresent(rise ->
                        evidence.add(new Evidence("riseByEqualising", new GravityDifference((int) Math.round(rise)))));
        return evidence;
    }
}
