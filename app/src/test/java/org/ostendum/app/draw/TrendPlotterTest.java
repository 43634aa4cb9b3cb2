package org.ostendum.app.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.measure.GravityForm;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.ostendum.core.people.Theme;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Severity;
import org.springframework.context.support.StaticMessageSource;

class TrendPlotterTest {
    private static final Instant START = Instant.parse("2026-01-05T08:00:00Z");

    private static List<DatedGravities> rounds(int count) {
        List<DatedGravities> rounds = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Map<Integer, CorrectedGravity> cells = new TreeMap<>();
            for (int cell = 1; cell <= 6; cell++) {
                cells.put(cell, CorrectedGravity.ofPoints(1285 - (cell == 4 ? 5 * i : 0)));
            }
            rounds.add(new DatedGravities(
                    START.plus(Duration.ofDays(14L * i)), RoundState.FULL_CHARGE, new Gravities(cells)));
        }
        return rounds;
    }

    private static TrendDrawing plot(int rounds, Map<Integer, Severity> held) {
        Person person = new Person(
                1,
                "a",
                "A",
                Role.VIEWER,
                true,
                GravityForm.THREE_DIGITS,
                false,
                false,
                false,
                Theme.DEVICE,
                Language.ENGLISH);
        Words words = new Words(person, new StaticMessageSource(), Locale.ENGLISH, ZoneOffset.UTC, START);
        return TrendPlotter.plot(
                rounds(rounds), GravityMarks.usualFor(Duty.MOTIVE), held, words, ZoneOffset.UTC, 840, 220);
    }

    @Test
    void everyCellHasItsCourseAndTheOneToWatchLiesOnTop() {
        TrendDrawing drawing = plot(10, Map.of(4, Severity.WATCH));
        assertThat(drawing.lines()).hasSize(6);
        TrendDrawing.Line last = drawing.lines().get(5);
        assertThat(last.cell()).isEqualTo(4);
        assertThat(last.tone()).isEqualTo("WATCH");
        assertThat(last.labelY()).isNotNull();
        assertThat(drawing.lines().subList(0, 5)).allMatch(line -> line.tone().equals("NONE") && line.labelY() == null);
    }

    @Test
    void coursesStayInsideThePlotAndRunFromEdgeToEdge() {
        TrendDrawing drawing = plot(10, Map.of());
        for (TrendDrawing.Line line : drawing.lines()) {
            List<Point> points = points(line.points());
            assertThat(points).allMatch(drawing.plot()::contains);
            assertThat(points.get(0).x()).isEqualTo(drawing.plot().x(), within(0.2));
            assertThat(points.get(9).x()).isEqualTo(drawing.plot().right(), within(0.2));
        }
        List<Point> falling = points(drawing.lines().get(3).points());
        assertThat(falling.get(9).y()).isGreaterThan(falling.get(0).y());
    }

    private static List<Point> points(String polyline) {
        return List.of(polyline.split(" ", -1)).stream()
                .map(p -> p.split(",", -1))
                .map(p -> new Point(Double.parseDouble(p[0]), Double.parseDouble(p[1])))
                .toList();
    }

    @Test
    void theFullWindowLiesBehindAndTheScaleIsMarked() {
        TrendDrawing drawing = plot(10, Map.of());
        assertThat(drawing.band()).isNotNull();
        assertThat(drawing.gravityTicks()).extracting(TrendDrawing.Tick::label).contains("1.280", "1.260");
        assertThat(drawing.dateTicks())
                .extracting(TrendDrawing.Tick::label)
                .containsExactly("Feb", "Mar", "Apr", "May");
    }

    @Test
    void namesThatWouldMeetArePushedApart() {
        TrendDrawing drawing = plot(3, Map.of(1, Severity.ACT, 2, Severity.ACT, 3, Severity.STOP));
        List<Double> labels = drawing.lines().stream()
                .map(TrendDrawing.Line::labelY)
                .filter(java.util.Objects::nonNull)
                .sorted()
                .toList();
        assertThat(labels).hasSize(3);
        assertThat(labels.get(1) - labels.get(0)).isGreaterThanOrEqualTo(18);
        assertThat(labels.get(2) - labels.get(1)).isGreaterThanOrEqualTo(18);
    }

    @Test
    void oneRoundIsAPlotToo() {
        assertThat(plot(1, Map.of()).lines()).hasSize(6);
    }
}
