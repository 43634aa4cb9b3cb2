package org.ostendum.core.judge;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.rulebook.Rules;

/** Builds cases for tests: a six-cell motive battery, full from 1.275 to 1.295, read at 25 °C each fortnight. */
final class Cases {
    static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");
    static final BatteryModel SIX = model(CellKind.FLOODED);

    /** Six blocks of three cells, as in a golf car of six-volt blocks. */
    static final BatteryModel BLOCKS = new BatteryModel(
            "blocks",
            CellKind.FLOODED,
            Duty.DEEP_CYCLE,
            LayoutText.parse("1> 2> 3>/6< 5< 4<", 3),
            AmpHours.of(200),
            20,
            GravityMarks.usualFor(Duty.DEEP_CYCLE));

    private Cases() {}

    static BatteryModel model(CellKind kind) {
        return new BatteryModel(
                "six",
                kind,
                Duty.MOTIVE,
                LayoutText.parse("1 2 3/6 5 4", 1),
                AmpHours.of(300),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
    }

    static Round round(RoundState state, int... points) {
        return round(NOW, state, points);
    }

    static Round round(Instant at, RoundState state, int... points) {
        List<CellReading> readings = new ArrayList<>();
        for (int i = 0; i < points.length; i++) {
            if (points[i] > 0) {
                readings.add(CellReading.gravity(i + 1, points[i]));
            }
        }
        return new Round(at, state, Celsius.of(25), readings);
    }

    static CellReading cell(int cell, Integer points, boolean tooLow, boolean confirmed, Level level, Colour colour) {
        SpecificGravity gravity = points == null ? null : SpecificGravity.ofPoints(points);
        return new CellReading(cell, gravity, tooLow, confirmed, null, null, false, level, colour);
    }

    static Round of(CellReading... readings) {
        return new Round(NOW, RoundState.FULL_CHARGE, Celsius.of(25), List.of(readings));
    }

    static Round drawnTwice(Round round, int cell) {
        return new Round(
                round.takenAt(),
                round.state(),
                round.temperature(),
                round.readings().stream()
                        .map(r -> r.cell() == cell && r.gravity() != null
                                ? cell(cell, r.gravity().points(), false, true, r.level(), r.colour())
                                : r)
                        .toList());
    }

    static PastRound sound(Round round) {
        return new PastRound(round, List.of());
    }

    static Verdict judge(Round latest) {
        return judge(latest, List.of());
    }

    static Verdict judge(Round latest, List<PastRound> past) {
        return judge(SIX, Rules.standard(), sound(latest), past);
    }

    static Verdict judge(BatteryModel model, Rules rules, PastRound latest, List<PastRound> past) {
        return Judge.judge(new Case(model, rules, ZoneOffset.UTC, latest, past));
    }

    /** The fortnight's round so many rounds before now. */
    static Instant fortnightsAgo(int rounds) {
        return NOW.minus(Duration.ofDays(14L * rounds));
    }

    static Optional<Finding> found(Verdict verdict, FindingCode code) {
        return verdict.findings().stream().filter(f -> f.code() == code).findFirst();
    }
}
