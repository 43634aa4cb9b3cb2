package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

/** Whatever was read, the judge answers: in order, about cells that are there, as surely as can be, and the same twice. */
class JudgePropertiesTest {
    private static final int CELLS = 12;
    private static final BatteryModel TRAY = new BatteryModel(
            "tray",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(2, 6),
            AmpHours.of(500),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private static <T> T any(Random random, T[] of) {
        return of[random.nextInt(of.length)];
    }

    private static CellReading reading(int cell, Random random) {
        boolean read = random.nextInt(12) > 0;
        int points = random.nextInt(4) == 0 ? 1000 + random.nextInt(401) : 1270 + random.nextInt(30);
        @Nullable Volts volts = random.nextInt(3) == 0 ? Volts.of(random.nextInt(400) / 100.0 - 1) : null;
        return new CellReading(
                cell,
                read ? SpecificGravity.ofPoints(points) : null,
                !read && random.nextBoolean(),
                random.nextBoolean(),
                random.nextInt(5) == 0 ? Celsius.of(random.nextInt(80) - 20) : null,
                volts,
                random.nextBoolean(),
                random.nextInt(4) == 0 ? any(random, Level.values()) : null,
                random.nextInt(20) == 0 ? any(random, Colour.values()) : null);
    }

    private static List<PastRound> history(int rounds, Random random) {
        List<PastRound> history = new ArrayList<>();
        Instant at = Instant.parse("2025-01-01T06:00:00Z");
        for (int i = 0; i <= rounds; i++) {
            at = at.plusSeconds(3600L + random.nextInt(40 * 86_400));
            List<CellReading> readings = new ArrayList<>();
            for (int cell = 1; cell <= CELLS; cell++) {
                if (random.nextInt(15) > 0) {
                    readings.add(reading(cell, random));
                }
            }
            Round round = new Round(
                    at, any(random, RoundState.values()), random.nextBoolean() ? Celsius.of(24) : null, readings);
            history.add(new PastRound(round, List.of()));
        }
        return history;
    }

    private static Verdict judge(List<PastRound> history) {
        PastRound latest = history.get(history.size() - 1);
        return Judge.judge(
                new Case(TRAY, Rules.standard(), ZoneOffset.UTC, latest, history.subList(0, history.size() - 1)));
    }

    @Property(tries = 400)
    void anyRoundsAreAnswered(@ForAll @IntRange(min = 0, max = 40) int rounds, @ForAll long seed) {
        Verdict verdict = judge(history(rounds, new Random(seed)));
        assertThat(verdict.findings()).allSatisfy(finding -> {
            assertThat(finding.cells().numbers()).allMatch(cell -> cell >= 1 && cell <= CELLS);
            assertThat(finding.confidence()).isBetween(0.0, 1.0);
            assertThat(finding.rules()).isNotNull();
        });
        List<Severity> order =
                verdict.findings().stream().map(Finding::severity).toList();
        assertThat(order).isSortedAccordingTo((a, b) -> b.compareTo(a));
        if (!order.isEmpty()) {
            assertThat(verdict.severity()).isEqualTo(order.get(0));
        }
    }

    @Property(tries = 100)
    void theSameRoundsAreJudgedTheSame(@ForAll @IntRange(min = 0, max = 25) int rounds, @ForAll long seed) {
        assertThat(judge(history(rounds, new Random(seed)))).isEqualTo(judge(history(rounds, new Random(seed))));
    }

    @Property(tries = 150)
    void everyForecastLiesBetweenItsEnds(@ForAll @IntRange(min = 8, max = 40) int rounds, @ForAll long seed) {
        judge(history(rounds, new Random(seed))).findings().stream()
                .map(Finding::forecast)
                .forEach(forecast -> {
                    if (forecast != null) {
                        assertThat(forecast.crosses()).isAfterOrEqualTo(forecast.early());
                        assertThat(forecast.late() == null || !forecast.late().isBefore(forecast.crosses()))
                                .isTrue();
                    }
                });
    }
}
