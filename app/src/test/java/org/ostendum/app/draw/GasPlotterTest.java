package org.ostendum.app.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.core.gas.GasBudget;

class GasPlotterTest {
    private static final Instant NOW = Instant.parse("2026-03-02T20:00:00Z");

    private static GasDrawing plot(double first, double second) {
        List<GasBudget.Moment> moments = IntStream.rangeClosed(0, 144)
                .mapToObj(i -> new GasBudget.Moment(
                        NOW.plus(Duration.ofMinutes(5L * i)), List.of(first * i / 144, second * i / 144, 0.0)))
                .toList();
        return GasPlotter.plot(moments, List.of("T-01", "T-02"), 0.01, 0.02, ZoneOffset.UTC, 840, 200);
    }

    private static double leastY(GasDrawing.Layer layer) {
        return Arrays.stream(layer.points().split(" "))
                .mapToDouble(p -> Double.parseDouble(p.split(",")[1]))
                .min()
                .orElseThrow();
    }

    @Test
    void oneLayerLiesOnTheOtherUnderTheAlarm() {
        GasDrawing drawing = plot(0.004, 0.003);
        assertThat(drawing.layers()).extracting(GasDrawing.Layer::battery).containsExactly("T-01", "T-02");
        assertThat(leastY(drawing.layers().get(1)))
                .isLessThan(leastY(drawing.layers().get(0)));
        assertThat(drawing.levels()).extracting(GasDrawing.Level::word).containsExactly("2 %", "1 %");
        double broken = Objects.requireNonNull(drawing.brokenAt());
        assertThat(drawing.levels().get(0).y()).as("2 % lies beyond").isLessThan(broken);
        assertThat(drawing.levels().get(1).y())
                .isGreaterThan(broken)
                .isLessThan(leastY(drawing.layers().get(1)));
        assertThat(drawing.layers())
                .allSatisfy(layer -> assertThat(drawing.plot().contains(Objects.requireNonNull(layer.label())))
                        .isTrue());
    }

    @Test
    void whatPassesAlarmAndStopShowsBothLines() {
        GasDrawing drawing = plot(0.02, 0.01);
        assertThat(drawing.levels()).extracting(GasDrawing.Level::word).containsExactly("2 %", "1 %");
        assertThat(drawing.brokenAt()).isNull();
        assertThat(drawing.brokenLine()).isEmpty();
        assertThat(leastY(drawing.layers().get(1)))
                .isLessThan(drawing.levels().get(0).y())
                .isGreaterThanOrEqualTo(drawing.plot().y());
    }

    @Test
    void aTraceIsDrawnLargeUnderABreakBeyondWhichTheLimitsLie() {
        GasDrawing drawing = plot(0.0002, 0.0001);
        double broken = Objects.requireNonNull(drawing.brokenAt());
        assertThat(drawing.levels())
                .extracting(GasDrawing.Level::word, GasDrawing.Level::limit)
                .containsExactly(tuple("2 %", true), tuple("1 %", true), tuple("0.02 %", false));
        assertThat(drawing.levels().get(0).y())
                .isGreaterThan(drawing.plot().y())
                .isLessThan(drawing.levels().get(1).y());
        assertThat(drawing.levels().get(1).y()).isLessThan(broken);
        assertThat(leastY(drawing.layers().get(1)))
                .isGreaterThan(broken)
                .isLessThan(drawing.plot().y() + drawing.plot().height() * 0.6);
        assertThat(drawing.brokenLine().split(" ")).hasSizeGreaterThan(20);
        assertThat(drawing.hours()).hasSize(7);
    }
}
