package org.ostendum.core.procedure;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.judge.Figure;
import org.ostendum.core.judge.Message;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.OnCharge;

/** Gates on a battery's charge, warmth and water: what the order of work, charge, cooling, readings and water asks for. */
final class ChargeGates {
    /** Water itself freezes there; electrolyte later. */
    private static final Celsius FREEZING_BEGINS = Celsius.of(0);

    private ChargeGates() {}

    static GateOutcome notCharging(Subject battery) {
        OnCharge running = battery.state().onCharge();
        return running == null
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.NOT_CHARGING.shut", battery.code(), running.since()),
                        Message.of("gate.NOT_CHARGING.remedy"),
                        "finish-charge",
                        new Figure("chargeStart", running.since()));
    }

    /** A cell gasses on for hours after a charge; a spark at it bursts it. */
    static GateOutcome aired(Subject battery) {
        BatteryState state = battery.state();
        if (state.isCharging()) {
            return notCharging(battery);
        }
        Instant ended = state.charging().chargeEnded();
        Duration wanted = state.rules().duration(RuleKey.HOT_WORK_AIRED);
        if (ended == null) {
            return new GateOutcome.Unknown(Message.of("gate.AIRED.unknown", battery.code(), (int) wanted.toHours()));
        }
        Duration left = wanted.minus(Duration.between(ended, state.asOf()));
        return left.isNegative() || left.isZero()
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.AIRED.shut", battery.code(), ended, (int) Math.max(1, left.toMinutes())),
                        Message.of("gate.AIRED.remedy"),
                        null,
                        new Figure("chargeEnd", ended));
    }

    /** The level rises while charging: full before means overflow after. Bare plates are the exception, by their own job. */
    static GateOutcome fullBeforeWater(Subject battery) {
        BatteryState state = battery.state();
        String opens = state.levels().bare().isEmpty() ? "charge" : "cover-plates";
        return BatteryGates.of(
                state.isCharging() ? Answer.NO : state.full().value(),
                notFull(battery, GateKey.FULL_BEFORE_WATER, opens),
                Message.of("gate.FULL_BEFORE_WATER.unknown", battery.code()));
    }

    /** An equalising charge follows a full one; after work it would only heat. */
    static GateOutcome justFull(Subject battery) {
        return BatteryGates.of(
                battery.state().full().value(),
                notFull(battery, GateKey.JUST_FULL, "charge"),
                Message.of("gate.JUST_FULL.unknown", battery.code()));
    }

    private static GateOutcome notFull(Subject battery, GateKey gate, String opens) {
        BatteryState state = battery.state();
        OnCharge running = state.onCharge();
        if (running != null) {
            return GateOutcome.shut(
                    Message.of("gate." + gate + ".charging", battery.code(), running.since()),
                    Message.of("gate.NOT_CHARGING.remedy"),
                    "finish-charge",
                    new Figure("chargeStart", running.since()));
        }
        Instant since = state.full().since();
        Instant ended = state.charging().chargeEnded();
        boolean endedEarly = ended != null && ended.equals(since);
        return GateOutcome.shut(
                since == null
                        ? Message.of("gate." + gate + ".never", battery.code())
                        : Message.of("gate." + gate + (endedEarly ? ".early" : ".shut"), battery.code(), since),
                Message.of("gate." + gate + ".remedy"),
                opens,
                new Figure("full", state.full().value().name()));
    }

    /** Water thins the sample: what is due to be read is read before it. */
    static GateOutcome readingsFirst(Subject battery) {
        BatteryState state = battery.state();
        Instant read = state.roundAt();
        Duration interval =
                state.rules().duration(RuleKey.roundInterval(state.model().duty()));
        boolean canBeRead = !state.mixed().isNo();
        boolean due = read == null || Duration.between(read, state.asOf()).compareTo(interval) >= 0;
        return canBeRead && due
                ? GateOutcome.shut(
                        read == null
                                ? Message.of("gate.READINGS_FIRST.never", battery.code())
                                : Message.of("gate.READINGS_FIRST.shut", battery.code(), read),
                        Message.of("gate.READINGS_FIRST.remedy"),
                        "round",
                        new Figure("roundDue", true))
                : GateOutcome.OPEN;
    }

    /** Water floats on top until a charge has mixed it in. */
    static GateOutcome mixedBeforeRound(Subject battery) {
        BatteryState state = battery.state();
        Instant water = state.water().watered();
        if (water == null) {
            return GateOutcome.OPEN;
        }
        int wanted = state.rules().percent(RuleKey.GASSING_TO_MIX);
        return BatteryGates.of(
                state.mixed(),
                GateOutcome.shut(
                        Message.of("gate.MIXED_BEFORE_ROUND.shut", battery.code(), water),
                        Message.of("gate.MIXED_BEFORE_ROUND.remedy", wanted),
                        "charge",
                        new Figure("water", water)),
                Message.of("gate.MIXED_BEFORE_ROUND.unknown", battery.code(), water));
    }

    static GateOutcome notHot(Subject battery) {
        BatteryState state = battery.state();
        Celsius most = state.rules().celsius(RuleKey.CHARGE_START_MOST);
        Heat heat = state.heat().temperature();
        return switch (state.heat().isTooHotToCharge()) {
            case NO -> GateOutcome.OPEN;
            case UNKNOWN -> new GateOutcome.Unknown(Message.of("gate.NOT_HOT.unknown", battery.code(), most));
            case YES ->
                GateOutcome.shut(
                        Message.of("gate.NOT_HOT.shut", battery.code(), heat == null ? most : heat.celsius(), most),
                        Message.of("gate.NOT_HOT.remedy", most),
                        null,
                        new Figure("temperature", heat == null ? most : heat.celsius()));
        };
    }

    /** Nothing frozen is charged: source {@code store.freeze}. Above 0 °C, and where it was never read colder, nothing is frozen. */
    static GateOutcome notFrozen(Subject battery) {
        BatteryState state = battery.state();
        Heat heat = state.heat().temperature();
        if (heat == null || heat.celsius().compareTo(FREEZING_BEGINS) > 0) {
            return GateOutcome.OPEN;
        }
        CorrectedGravity gravity = state.lowestGravity();
        if (gravity == null) {
            return new GateOutcome.Unknown(Message.of("gate.NOT_FROZEN.unknown", battery.code(), heat.celsius()));
        }
        return FreezingPoint.of(gravity)
                .filter(freezing -> heat.celsius().compareTo(freezing) <= 0)
                .map(freezing -> GateOutcome.shut(
                        Message.of("gate.NOT_FROZEN.shut", battery.code(), heat.celsius(), gravity, freezing),
                        Message.of("gate.NOT_FROZEN.remedy"),
                        null,
                        new Figure("temperature", heat.celsius()),
                        new Figure("gravity", gravity)))
                .orElse(GateOutcome.OPEN);
    }

    /** It works with what is in it: full by evidence, or at least known to be nearly so. */
    static GateOutcome charged(Subject battery) {
        BatteryState state = battery.state();
        ChargeRange charge = state.charge();
        double least = state.rules().percent(RuleKey.CHARGE_TO_ISSUE) / 100.0;
        if (state.full().isYes() || (!state.full().isNo() && charge.isKnown() && charge.low() >= least)) {
            return GateOutcome.OPEN;
        }
        return state.full().isNo()
                ? GateOutcome.shut(
                        Message.of(
                                "gate.CHARGED.shut",
                                battery.code(),
                                charge.percent().percent()),
                        Message.of("gate.CHARGED.remedy"),
                        "charge",
                        new Figure("percent", charge.percent().percent()))
                : new GateOutcome.Unknown(Message.of("gate.CHARGED.unknown", battery.code()));
    }

    static GateOutcome cooled(Subject battery) {
        BatteryState state = battery.state();
        @Nullable Instant until = state.heat().coolingUntil();
        return until == null
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.COOLED.shut", battery.code(), (int)
                                Math.ceil(state.heat().coolingLeft().toMinutes() / 60.0)),
                        Message.of("gate.COOLED.remedy"),
                        null,
                        new Figure("coolingUntil", until));
    }
}
