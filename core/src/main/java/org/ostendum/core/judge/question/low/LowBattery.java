package org.ostendum.core.judge.question.low;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;

/**
 * Why all cells stand low after what should have been a full charge. Too little put back: undercharged. Enough put back,
 * and an equalising charge lifts the readings, or they came down at once and stay there: layered acid. Enough put back and
 * nothing lifts them: sulfate.
 */
public final class LowBattery {
    private static final Duration RECENT = Duration.ofDays(30);
    /** Fewer charges do not make a balance. */
    private static final int LEAST_CHARGES = 8;

    /** A fall of the battery's median since its beginning that water in the cells does not make. */
    private static final double FALL_TOLD = 100;

    /** A fall in one step that tells by itself: of rounds enough healthy batteries seem to come down by up to 66 in one. */
    private static final double STEP_TOLD = 70;

    /** mV a cell at 25 °C: below it no cell gasses, and no charge is at its end. */
    private static final double GASSING_FROM = 2400;

    /** So many times the limit is a drop from one equalising charge to a round after it that tells by itself. */
    private static final double DROP = 3;

    private static final int LEAST_EQUALISED = 2;

    private static final Duration EQUALISED_OF_LATE = Duration.ofDays(120);

    /** One round before the latest may have been read too soon after water by chance. */
    private static final int UNMIXED_BEFORE = 2;

    private final Case battery;
    private final FullCourse ordinary;
    private final LiftByEqualising lift;
    private final Decline decline;
    private final OptionalDouble returned;
    private final Cause cause;

    private LowBattery(Case battery) {
        this.battery = battery;
        this.ordinary = FullCourse.of(battery, RoundState.FULL_CHARGE);
        this.lift = new LiftByEqualising(battery, ordinary, FullCourse.of(battery, RoundState.AFTER_EQUALISE));
        this.decline = new Decline(battery);
        this.returned = returned(battery);
        this.cause = findCause();
    }

    public static LowBattery of(Case battery) {
        return battery.once(LowBattery.class, LowBattery::new);
    }

    public enum Cause {
        UNDERCHARGED,
        STRATIFIED,
        SULFATED,
        /** Sulfate by its course alone: nobody has read it after equalising often enough to see that nothing lifts it. */
        GROWING,
        /** Equalising does not lift it, and nobody has written down what was put back: sulfate, or a charger that stops too soon. */
        UNLIFTED,
        UNKNOWN
    }

    public Cause cause() {
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
        } else if (!isEnoughBack() && (volts <= -apart || isBelowGassing())) {
            return Cause.UNDERCHARGED;
        }
        Cause byEqualising = byEqualising();
        return byCourse(byEqualising == Cause.UNKNOWN && hasDropped() ? Cause.STRATIFIED : byEqualising);
    }

    private boolean isBelowGassing() {
        return battery.chargeVolts().now().orElse(Double.MAX_VALUE) < GASSING_FROM;
    }

    /** Sulfate grows; layers, and a charger that stops early, come within days and stay as they are. */
    private Cause byCourse(Cause told) {
        if (told == Cause.STRATIFIED) {
            // What lies in no layers is still low: it is told as such, never passed over.
            return isGoingOn() ? Cause.UNKNOWN : told;
        }
        if (told == Cause.UNKNOWN && isGrowing()) {
            return Cause.GROWING;
        }
        if (told == Cause.UNDERCHARGED || !decline.cameAtOnce(stepTold())) {
            return told;
        }
        return returned.isPresent() ? Cause.STRATIFIED : Cause.UNDERCHARGED;
    }

    /**
     * Bit by bit, though it is equalised again and again. A charger that stops too soon does so at once: what is put back need not be
     * on record.
     */
    private boolean isGrowing() {
        return isGoingOn()
                && decline.surelyGoesOn()
                && ordinary.fallen() >= FALL_TOLD
                && battery.events()
                                .between(Equalised.class, battery.now().minus(EQUALISED_OF_LATE), battery.now())
                                .size()
                        >= LEAST_EQUALISED;
    }

    private boolean isGoingOn() {
        return ordinary.fallen() >= limit() && decline.goesOn();
    }

    /** @return tenths; what is less may be chance */
    private double limit() {
        return battery.rules().points(RuleKey.RISE_BY_MIXING).tenths();
    }

    /** @return tenths; where rounds lie months apart there are too few of them for chance to make many steps */
    private double stepTold() {
        return battery.isReadSeldom() ? limit() : STEP_TOLD;
    }

    /** @return whether too little was put back of late; false also where that is not on record */
    private boolean isReturnShort() {
        return returned.isPresent() && returned.getAsDouble() < battery.rules().percent(RuleKey.RETURN_LEAST) / 100.0;
    }

    /** @return whether enough is on record to have been put back of late */
    public boolean isEnoughBack() {
        return returned.isPresent() && !isReturnShort();
    }

    /** @return whether its readings have come down since its beginning, and a second sign tells why, though they are not low yet */
    public boolean isFalling() {
        return cause != Cause.UNKNOWN && cause != Cause.UNLIFTED && ordinary.fallen() >= FALL_TOLD;
    }

    public GravityDifference fallen() {
        return new GravityDifference((int) Math.round(ordinary.fallen()));
    }

    /** @return whether the latest round came out low because the battery is not charged to its end: that holds for each cell */
    public boolean isUndercharged() {
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
        if (low.size() < LEAST_EQUALISED || lift.usual().isEmpty()) {
            return Cause.UNKNOWN;
        }
        if (isLifted()) {
            return returned.isPresent() ? Cause.STRATIFIED : Cause.UNDERCHARGED;
        }
        if (lift.usual().orElse(0) >= limit()
                || !low.stream().limit(LEAST_EQUALISED).allMatch(l -> l)) {
            return Cause.UNKNOWN;
        }
        // A charger that stops too soon is no more made good by an equalising charge than sulfate; but sulfate goes on
        // growing.
        return returned.isPresent() || decline.goesOn() ? Cause.SULFATED : Cause.UNLIFTED;
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
        return full.stream()
                .filter(d -> d.state() == RoundState.AFTER_EQUALISE && !isLow(d))
                .filter(d -> lift.isBeside(d, now))
                .anyMatch(d -> d.gravities().median().tenths()
                                - now.gravities().median().tenths()
                        >= DROP * limit());
    }

    /** @return whether the latest round came out low */
    public boolean isLowNow() {
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
    public OptionalDouble riseByEqualising() {
        return lift.usual();
    }

    /** @return tenths by which ordinary rounds came down in one step, to stay; empty where they did not */
    public OptionalDouble step() {
        return decline.cameAtOnce(stepTold()) ? OptionalDouble.of(decline.step()) : OptionalDouble.empty();
    }

    /** @return whether an equalising charge surely lifts the readings */
    public boolean isLifted() {
        return lift.isSure(limit());
    }

    /**
     * @return whether the acid lies in layers: an equalising charge lifts the readings, and enough was put back before. It lifts young
     *     sulfate too, which the voltages on charge give away
     */
    private boolean isLayered() {
        return !isReturnShort() && !isGoingOn() && cause != Cause.SULFATED && (isLifted() || cause == Cause.STRATIFIED);
    }

    /** @return whether its latest round says so: one after an equalising charge shows no layers */
    public boolean isToldAsLayered() {
        return isLayered() && battery.latest().round().state() == RoundState.FULL_CHARGE;
    }

    /**
     * @return whether it never gets so far that water mixes in: round after round is read too soon after water though it was charged
     *     between, too little is put back, and what is drawn reads low
     */
    public boolean neverMixes() {
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

    /** @return what was put back of late, in percent of what was taken out; 0 where that is not on record */
    public int returnedPercent() {
        return (int) Math.round(100 * returned.orElse(0));
    }

    public Evidence evidence() {
        OptionalDouble rise = riseByEqualising();
        return new Evidence.LowAsAWhole(
                battery.gravities().median(),
                returned.isPresent() ? (Integer) returnedPercent() : null,
                rise.isPresent() ? new GravityDifference((int) Math.round(rise.getAsDouble())) : null);
    }
}
