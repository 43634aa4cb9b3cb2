package org.ostendum.app.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

class ChargePlotterTest {
    private static final Instant START = Instant.parse("2026-03-02T18:00:00Z");

    /** Ten hours: six at 90 A, then the finish at 24. */
    private static ChargePlotter.Course course(int hours) {
        List<ChargeSample> samples = new ArrayList<>();
        for (int h = 0; h <= hours; h++) {
            samples.add(new ChargeSample(
                    START.plus(Duration.ofHours(h)),
                    Volts.of(18 * (2.1 + 0.05 * h)),
                    new Amperes(h < 6 ? 90 : 24),
                    h % 2 == 0 ? Celsius.of(20 + h) : null));
        }
        return new ChargePlotter.Course(START, samples);
    }

    private static ChargeCurve plot(int hours, ChargePlotter.Course... earlier) {
        return ChargePlotter.plot(
                course(hours), List.of(earlier), 18, 42, 300.0, null, ZoneId.of("Europe/Berlin"), 840, 420);
    }

    private static List<Point> points(String line) {
        return Arrays.stream(line.split(" "))
                .map(p -> p.split(","))
                .map(xy -> new Point(Double.parseDouble(xy[0]), Double.parseDouble(xy[1])))
                .toList();
    }

    @Test
    void voltsLieAboveAndAmperesAndDegreesBeneath() {
        ChargeCurve curve = plot(10);
        assertThat(points(curve.lines().volts()))
                .hasSize(11)
                .allMatch(curve.fields().volts()::contains);
        assertThat(points(curve.lines().amperes()))
                .hasSize(11)
                .allMatch(curve.fields().below()::contains);
        assertThat(points(curve.lines().celsius()))
                .hasSize(6)
                .allMatch(curve.fields().below()::contains);
        assertThat(points(curve.lines().volts()).get(10).y())
                .isLessThan(points(curve.lines().volts()).get(0).y());
    }

    @Test
    void theFinishBeginsWhereTheCurrentStaysLow() {
        ChargeCurve curve = plot(10);
        assertThat(curve.finishX())
                .isCloseTo(points(curve.lines().volts()).get(6).x(), within(0.1));
        assertThat(plot(5).finishX()).isNull();
    }

    @Test
    void earlierChargesLieBehindOnTheSameHours() {
        ChargeCurve curve = plot(4, course(12));
        assertThat(curve.earlier()).hasSize(1);
        assertThat(points(curve.earlier().get(0)).get(4).x())
                .isEqualTo(points(curve.lines().volts()).get(4).x());
        assertThat(points(curve.earlier().get(0))).allMatch(curve.fields().volts()::contains);
    }

    /** It began at 19:00 by the site's clock and is likely full at 03:00, between 2 and 4. */
    @Test
    void hoursAreThoseOfTheClockAndTheForecastHasItsWidth() {
        ChargePlotter.Expected expected = new ChargePlotter.Expected(at(5), at(7), at(8), at(9));
        ChargeCurve curve =
                ChargePlotter.plot(course(5), List.of(), 18, 42, 300.0, expected, ZoneId.of("Europe/Berlin"), 840, 420);
        assertThat(curve.scales().hours())
                .extracting(ChargeCurve.Tick::label)
                .startsWith("20:00", "21:00")
                .contains("00:00");
        ChargeCurve.Times times = curve.times();
        assertThat(times).isNotNull();
        assertThat(times.now()).isEqualTo(points(curve.lines().volts()).get(5).x(), within(0.1));
        assertThat(times.now()).isLessThan(times.early());
        assertThat(times.likely() - times.early()).isCloseTo(times.late() - times.likely(), within(0.01));
        assertThat(times.late()).isLessThan(curve.fields().volts().right());
        assertThat(curve.scales().celsius())
                .extracting(ChargeCurve.Tick::label)
                .containsExactly("20 °C", "40 °C", "60 °C");
        assertThat(plot(10).times()).isNull();
    }

    private static Instant at(int hours) {
        return START.plus(Duration.ofHours(hours));
    }
}
