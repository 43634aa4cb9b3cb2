package org.ostendum.app.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.quantity.CorrectedGravity;

class SparkPlotterTest {
    private static final Instant START = Instant.parse("2026-01-05T08:00:00Z");
    private static final GravityMarks MARKS = GravityMarks.usualFor(Duty.MOTIVE);

    private static BatteryCourse course(int... lowest) {
        return new BatteryCourse(IntStream.range(0, lowest.length)
                .mapToObj(i -> new BatteryCourse.Mark(
                        START.plusSeconds(86_400L * 14 * i),
                        CorrectedGravity.ofPoints(1285),
                        CorrectedGravity.ofPoints(lowest[i])))
                .toList());
    }

    private static List<Double> heights(String polyline) {
        return Arrays.stream(polyline.strip().split(" "))
                .map(p -> Double.valueOf(p.split(",")[1]))
                .toList();
    }

    @Test
    void aFallingCellGoesDownUnderALevelBattery() {
        Spark spark = Objects.requireNonNull(SparkPlotter.plot(course(1283, 1275, 1260, 1240), MARKS));
        assertThat(heights(spark.median())).containsOnly(spark.end().y());
        assertThat(heights(spark.lowest())).isSorted().doesNotHaveDuplicates();
        assertThat(spark.band().y()).isLessThan(spark.end().y());
    }

    @Test
    void whatIsFarBelowStaysInThePicture() {
        Spark spark = Objects.requireNonNull(SparkPlotter.plot(course(1280, 1000), MARKS));
        assertThat(heights(spark.lowest())).allMatch(y -> y >= 0 && y <= spark.height());
    }

    @Test
    void oneRoundIsNoCourse() {
        assertThat(SparkPlotter.plot(course(1280), MARKS)).isNull();
        assertThat(SparkPlotter.plot(BatteryCourse.NONE, MARKS)).isNull();
    }
}
