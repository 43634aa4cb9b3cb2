package org.ostendum.core.capacity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.CutOffForecast.Ends;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;

class TestCourseTest {
    /** An 18-cell tray of 600 Ah: 100 A for six hours at 30 °C. */
    private static final TestSheet TRAY = sheet(30, 1);

    private static TestSheet sheet(double celsius, int cellsPerLead) {
        return new TestSheet(
                TestKind.SIX_HOURS,
                Duty.MOTIVE,
                new Amperes(100),
                Duration.ofHours(6),
                18,
                cellsPerLead,
                Celsius.of(celsius));
    }

    private static TestRow row(double hours, double perCell) {
        return new TestRow(
                Duration.ofSeconds(Math.round(hours * 3600)), perCell * 18, 100, Collections.nCopies(18, perCell));
    }

    @Test
    void itRunsToTheCutOffBetweenTwoReadings() {
        TestCourse course = new TestCourse(TRAY, List.of(row(0, 2.04), row(5, 1.80), row(5.5, 1.60)), null);
        assertThat(course.stop()).contains(TestCourse.Stop.CUT_OFF);
        TestResult result = course.result().orElseThrow();
        assertThat(result.lasted()).isEqualTo(Duration.ofMinutes(315));
        assertThat(result.measured().ampHours()).isCloseTo(525, within(0.1));
        assertThat(result.part()).isCloseTo(525 / 600.0, within(1e-3));
        assertThat(result.isServiceable()).isTrue();
    }

    @Test
    void whatWasColdGetsMore() {
        TestCourse course = new TestCourse(sheet(20, 1), List.of(row(0, 2.04), row(4.5, 1.70)), null);
        TestResult result = course.result().orElseThrow();
        assertThat(result.measured().ampHours()).isEqualTo(450);
        assertThat(result.corrected().ampHours()).isCloseTo(450 / 0.94, within(0.1));
        assertThat(result.lambda()).isEqualTo(0.006);
        assertThat(result.reference()).isEqualTo(30);
    }

    @Test
    void aCellThatIsAboutToReverseTakesTheLoadOff() {
        List<Double> cells = new ArrayList<>(Collections.nCopies(18, 1.95));
        cells.set(6, 0.93);
        TestRow bad = new TestRow(Duration.ofHours(3), 34.08, 100, cells);
        TestCourse course = new TestCourse(TRAY, List.of(row(0, 2.04), bad), null);
        assertThat(course.stop()).contains(TestCourse.Stop.CELL);
        assertThat(course.worstLead()).contains(7);
    }

    /** Of a six-cell block one cell at 1 V shows as 9.75 V and less. */
    @Test
    void aBlocksLimitLeavesRoomForOneBadCell() {
        TestSheet blocks = new TestSheet(
                TestKind.TWENTY_HOURS, Duty.DEEP_CYCLE, new Amperes(5), Duration.ofHours(20), 24, 6, Celsius.of(25));
        assertThat(blocks.leads()).isEqualTo(4);
        assertThat(blocks.leadLimit()).isCloseTo(9.75, within(1e-9));
        assertThat(blocks.cutOff()).isEqualTo(42);
    }

    @Test
    void nothingIsForetoldOfOneReading() {
        assertThat(new TestCourse(TRAY, List.of(row(0, 2.04)), null).ends()).isEmpty();
        assertThat(new TestCourse(TRAY, List.of(), null).result()).isEmpty();
        assertThat(new TestCourse(TRAY, List.of(), null).nextReading()).isEqualTo(Duration.ofMinutes(9));
        assertThatThrownBy(() -> CutOffForecast.of(
                        List.of(new CutOffForecast.Point(0, 2)),
                        1.7,
                        0.002,
                        new CutOffForecast.Before(6, 6, 0.1, FallShape.USUAL)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** The more has been read, the nearer the ends of the forecast lie together, and never before what has gone already. */
    @Test
    void theForecastNarrowsAsItIsRead() {
        List<TestRow> rows = new ArrayList<>();
        double before = Double.MAX_VALUE;
        for (int twelfth = 0; twelfth <= 10; twelfth++) {
            double x = twelfth / 12.0;
            double knee = 0.11 * (1 - x) / (1.01 - x);
            rows.add(row(5.4 * x, 1.70 + 0.151 * (1 - x) + 0.10 * (1 - x * x) + knee));
            if (twelfth >= 2 && twelfth % 4 == 2) {
                Ends ends = new TestCourse(TRAY, rows, null).ends().orElseThrow();
                assertThat(ends.late() - ends.early()).isLessThan(before);
                assertThat(ends.early()).isGreaterThan(5.4 * x);
                assertThat(ends.likely()).isBetween(ends.early(), ends.late());
                before = ends.late() - ends.early();
            }
        }
        assertThat(new TestCourse(TRAY, rows, null).ends().orElseThrow().likely())
                .isCloseTo(5.4, within(0.2));
    }

    @Test
    void whatCannotBeTestedIsRefused() {
        assertThatThrownBy(() -> sheet(55, 1)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> new LoadTest(5, 15, 9, 6, 1.6, 1.5)).isInstanceOf(OutOfRange.class);
        assertThatThrownBy(() -> new WorkedHours(30)).isInstanceOf(OutOfRange.class);
    }

    @Test
    void aLoadTesterTellsGoodWeakAndBad() {
        assertThat(LoadTest.usual(200, 15, 9.9, 6, Celsius.of(21)).shown()).isEqualTo(LoadTest.Shown.GOOD);
        assertThat(LoadTest.usual(200, 15, 9.3, 6, Celsius.of(21)).shown()).isEqualTo(LoadTest.Shown.WEAK);
        assertThat(LoadTest.usual(200, 15, 8.8, 6, Celsius.of(21)).shown()).isEqualTo(LoadTest.Shown.BAD);
        assertThat(LoadTest.usual(200, 15, 9.3, 6, Celsius.of(0)).shown()).isEqualTo(LoadTest.Shown.GOOD);
        assertThat(new WorkedHours(4.5).part()).isCloseTo(0.75, within(1e-9));
        assertThat(new WorkedHours(6).isEnough()).isTrue();
    }
}
