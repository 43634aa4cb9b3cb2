package org.ostendum.core.capacity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;

/** What last year's test tells of this year's: how long, and in which shape the voltage falls. */
class EarlierTestTest {
    private static final int CELLS = 18;
    private static final TestSheet SHEET = sheet(100, 25);

    private static TestSheet sheet(double amperes, double celsius) {
        return new TestSheet(
                TestKind.SIX_HOURS,
                Duty.MOTIVE,
                new Amperes(amperes),
                Duration.ofHours(6),
                CELLS,
                1,
                Celsius.of(celsius));
    }

    /** A battery with an odd resistance: its voltage starts low and falls little; read at so many equal steps of its whole time. */
    private static List<TestRow> rows(double hours, int read, int of) {
        List<TestRow> rows = new ArrayList<>();
        for (int i = 0; i < read; i++) {
            double x = i / (of - 1.0);
            double volts = 1.70 + 0.168 * hours / 6 * (1 - x) + 0.06 * (1 - x * x) + 0.1 * (1 - x) / (1.01 - x);
            rows.add(new TestRow(Duration.ofSeconds(Math.round(3600 * hours * x)), CELLS * volts, 100, List.of()));
        }
        return rows;
    }

    private static EarlierTest lastYear(TestSheet sheet) {
        return new EarlierTest(sheet, rows(5.6, 29, 29), 0.93);
    }

    @Test
    void theOwnShapeTellsTheEndWhereTheUsualOneDoesNot() {
        List<TestRow> half = rows(5.0, 13, 25);
        double unknown = new TestCourse(SHEET, half, null).ends().orElseThrow().likely();
        double known = new TestCourse(SHEET, half, lastYear(SHEET))
                .ends()
                .orElseThrow()
                .likely();
        assertThat(known).isCloseTo(5.0, within(0.2));
        assertThat(Math.abs(unknown - 5.0)).isGreaterThan(2 * Math.abs(known - 5.0));
    }

    /** Another current or another warmth is another curve; only how long it lasted counts then. */
    @Test
    void aTestUnderOtherConditionsTellsNoShape() {
        List<TestRow> half = rows(5.0, 13, 25);
        EarlierTest bare = new EarlierTest(SHEET, List.of(), 0.93);
        CutOffForecast.Ends byPartAlone =
                new TestCourse(SHEET, half, bare).ends().orElseThrow();
        assertThat(new TestCourse(SHEET, half, lastYear(sheet(120, 25))).ends()).contains(byPartAlone);
        assertThat(new TestCourse(SHEET, half, lastYear(sheet(100, 38))).ends()).contains(byPartAlone);
        assertThat(new TestCourse(SHEET, half, lastYear(SHEET)).ends()).isNotEqualTo(byPartAlone);
    }

    /** It is over when the weakest cell is down, though the battery as a whole would go on. */
    @Test
    void theTestIsOverWithItsLowestCell() {
        List<TestRow> rows = new ArrayList<>();
        for (TestRow row : rows(5.0, 13, 25)) {
            List<Double> leads = new ArrayList<>();
            for (int cell = 0; cell < CELLS; cell++) {
                leads.add(row.volts() / CELLS - (cell == 4 ? 0.004 + 0.03 * row.hours() : 0));
            }
            rows.add(new TestRow(row.elapsed(), row.volts(), row.amperes(), leads));
        }
        TestCourse course = new TestCourse(SHEET, rows, null);
        assertThat(course.worstLead()).contains(5);
        assertThat(course.over().orElseThrow().likely())
                .isEqualTo(course.ends(5).orElseThrow().likely())
                .isLessThan(course.ends().orElseThrow().likely() - 0.3);
    }
}
