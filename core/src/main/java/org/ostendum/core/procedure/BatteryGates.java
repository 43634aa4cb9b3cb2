package org.ostendum.core.procedure;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeState.Phase;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.procedure.Situation.BatteryFacts;
import org.ostendum.core.procedure.Situation.WeightPlate;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.RuleKey;

/** Gates on the state a battery is in. */
final class BatteryGates {
    /** An older temperature says nothing about now. Rule of thumb: a battery of a few hundred kilograms changes by a few kelvin. */
    private static final Duration TEMPERATURE_GOOD_FOR = Duration.ofHours(4);

    private BatteryGates() {}

    /** A damaged battery is neither charged, jumped nor lifted as usual. */
    static GateOutcome undamaged(Situation situation, BatteryFacts battery) {
        return battery.defects().contains(DefectKind.DAMAGED_CASE)
                ? GateOutcome.shut(
                        Message.of("gate.UNDAMAGED.shut", battery.code()),
                        Message.of("gate.UNDAMAGED.remedy"),
                        "spill",
                        new Evidence("defect", DefectKind.DAMAGED_CASE.name()))
                : GateOutcome.OPEN;
    }

    /** Sealed cells have nothing to open. */
    static GateOutcome hasCaps(Situation situation, BatteryFacts battery) {
        return battery.hasCaps()
                ? GateOutcome.OPEN
                : GateOutcome.shut(
                        Message.of("gate.HAS_CAPS.shut", battery.code()), Message.of("gate.HAS_CAPS.remedy"), null);
    }

    static GateOutcome notCharging(Situation situation, BatteryFacts battery) {
        Instant since = battery.happenings().chargeStart();
        return battery.happenings().isCharging() && since != null
                ? GateOutcome.shut(
                        Message.of("gate.NOT_CHARGING.shut", battery.code(), since),
                        Message.of("gate.NOT_CHARGING.remedy"),
                        null,
                        new Evidence("chargeStart", since))
                : GateOutcome.OPEN;
    }

    /** The level rises while charging: full before means overflow after. Bare plates are the exception, by their own job. */
    static GateOutcome fullBeforeWater(Situation situation, BatteryFacts battery) {
        if (battery.happenings().isFull()) {
            return GateOutcome.OPEN;
        }
        Instant worked = battery.happenings().discharge();
        if (worked == null && battery.happenings().filled() == null) {
            return new GateOutcome.Unknown(Message.of("gate.FULL_BEFORE_WATER.unknown", battery.code()));
        }
        return GateOutcome.shut(
                worked == null
                        ? Message.of("gate.FULL_BEFORE_WATER.never", battery.code())
                        : Message.of("gate.FULL_BEFORE_WATER.shut", battery.code(), worked),
                Message.of("gate.FULL_BEFORE_WATER.remedy"),
                plates(battery) ? "cover-plates" : "charge",
                new Evidence("discharge", String.valueOf(worked)));
    }

    /** Water floats on top until a charge has mixed it in. */
    static GateOutcome mixedBeforeRound(Situation situation, BatteryFacts battery) {
        Instant water = battery.happenings().water();
        int wanted = situation.rules().count(RuleKey.CHARGES_AFTER_WATER);
        return water != null && battery.happenings().chargesSinceWater() < wanted
                ? GateOutcome.shut(
                        Message.of("gate.MIXED_BEFORE_ROUND.shut", battery.code(), water),
                        Message.of("gate.MIXED_BEFORE_ROUND.remedy", wanted),
                        "charge",
                        new Evidence("water", water),
                        new Evidence("chargesSinceWater", battery.happenings().chargesSinceWater()))
                : GateOutcome.OPEN;
    }

    /** Bare plates on charge sulfate and spark. */
    static GateOutcome platesCovered(Situation situation, BatteryFacts battery) {
        return plates(battery)
                ? GateOutcome.shut(
                        Message.of("gate.PLATES_COVERED.shut", battery.code()),
                        Message.of("gate.PLATES_COVERED.remedy"),
                        "cover-plates")
                : GateOutcome.OPEN;
    }

    private static boolean plates(BatteryFacts battery) {
        return battery.findings().stream().map(Finding::next).anyMatch(NextStep.COVER_PLATES::equals);
    }

    static GateOutcome notHot(Situation situation, BatteryFacts battery) {
        Celsius temperature = fresh(situation, battery);
        Celsius most = situation.rules().celsius(RuleKey.CHARGE_START_MOST);
        return temperature != null && temperature.compareTo(most) >= 0
                ? GateOutcome.shut(
                        Message.of("gate.NOT_HOT.shut", battery.code(), temperature, most),
                        Message.of("gate.NOT_HOT.remedy", most),
                        null,
                        new Evidence("temperature", temperature))
                : GateOutcome.OPEN;
    }

    /** Nothing frozen is charged: source {@code store.freeze}. */
    static GateOutcome notFrozen(Situation situation, BatteryFacts battery) {
        Celsius temperature = fresh(situation, battery);
        if (temperature == null || battery.gravity() == null) {
            return GateOutcome.OPEN;
        }
        CorrectedGravity gravity = battery.gravity();
        return FreezingPoint.of(gravity)
                .filter(freezing -> temperature.compareTo(freezing) <= 0)
                .map(freezing -> GateOutcome.shut(
                        Message.of("gate.NOT_FROZEN.shut", battery.code(), temperature, gravity, freezing),
                        Message.of("gate.NOT_FROZEN.remedy"),
                        null,
                        new Evidence("temperature", temperature),
                        new Evidence("gravity", gravity)))
                .orElse(GateOutcome.OPEN);
    }

    private static @Nullable Celsius fresh(Situation situation, BatteryFacts battery) {
        Instant at = battery.temperatureAt();
        return at == null || Duration.between(at, situation.now()).compareTo(TEMPERATURE_GOOD_FOR) > 0
                ? null
                : battery.temperature();
    }

    static GateOutcome cooled(Situation situation, BatteryFacts battery) {
        return battery.charge().phase() == Phase.COOLING
                ? GateOutcome.shut(
                        Message.of("gate.COOLED.shut", battery.code(), (int)
                                Math.ceil(battery.charge().left().toMinutes() / 60.0)),
                        Message.of("gate.COOLED.remedy"),
                        null,
                        new Evidence("hoursLeft", (int) battery.charge().left().toHours()))
                : GateOutcome.OPEN;
    }

    static GateOutcome noStopFinding(Situation situation, BatteryFacts battery) {
        return battery.findings().stream()
                .filter(f -> f.severity() == Severity.STOP)
                .findFirst()
                .map(f -> GateOutcome.shut(
                        f.sentence(),
                        Message.of("gate.NO_STOP_FINDING.remedy"),
                        null,
                        new Evidence("finding", f.code().code())))
                .orElse(GateOutcome.OPEN);
    }

    /** The battery is the counterweight: too light is as wrong as too heavy. */
    static GateOutcome rightWeight(Situation situation, BatteryFacts battery) {
        WeightPlate plate = battery.plate();
        return plate != null && (battery.weightKg() < plate.fromKg() || battery.weightKg() > plate.toKg())
                ? GateOutcome.shut(
                        Message.of(
                                "gate.RIGHT_WEIGHT.shut",
                                battery.code(),
                                battery.weightKg(),
                                plate.machine(),
                                plate.fromKg(),
                                plate.toKg()),
                        Message.of("gate.RIGHT_WEIGHT.remedy"),
                        null,
                        new Evidence("weightKg", battery.weightKg()))
                : GateOutcome.OPEN;
    }
}
