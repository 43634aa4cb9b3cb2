package org.ostendum.core.commission;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.commission.InitialCharge.Advice;
import org.ostendum.core.commission.InitialCharge.State;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;

class InitialChargeTest {
    private static final Instant START = Instant.parse("2026-06-01T06:00:00Z");

    /** An aircraft battery of 36 Ah at a tenth of its capacity: 3.6 A, at least 43 Ah in. */
    private static final InitialChargePlan PLAN = InitialChargePlan.of(
            new BatteryModel(
                    "m",
                    CellKind.FLOODED,
                    Duty.AIRCRAFT,
                    LayoutText.parse("1 2 3 4 5 6/12 11 10 9 8 7", 1),
                    AmpHours.of(36),
                    1,
                    GravityMarks.usualFor(Duty.AIRCRAFT)),
            Rules.standard());

    private static ChargeRow row(double hour, double volts, double amps, double celsius, Integer points) {
        return new ChargeRow(
                START.plus(Duration.ofMinutes(Math.round(hour * 60))),
                Volts.of(volts),
                amps,
                Celsius.of(celsius),
                points == null ? null : CorrectedGravity.ofPoints(points));
    }

    /** Hour by hour to a steady 31.2 V and 1.285. */
    private static List<ChargeRow> run(int hours) {
        List<ChargeRow> rows = new ArrayList<>();
        for (int hour = 0; hour <= hours; hour++) {
            rows.add(row(hour, Math.min(31.2, 26 + hour * 0.4), 3.6, 30, Math.min(1285, 1180 + hour * 8)));
        }
        return rows;
    }

    private static List<String> keys(State state) {
        return state.missing().stream().map(Message::key).toList();
    }

    @Test
    void thePlanComesFromTheModel() {
        assertThat(PLAN.amps()).isEqualTo(3.6);
        assertThat(PLAN.leastAmpHours()).isEqualTo(43);
        assertThat(PLAN.from()).isEqualTo(CorrectedGravity.ofPoints(1275));
    }

    @ParameterizedTest
    @CsvSource({
        "0, true, GO_ON",
        "1, false, SET_LEVEL",
        "1, true, GO_ON",
        "10, true, GO_ON",
        "14, true, GO_ON",
        "15, true, DONE",
        "15, false, SET_LEVEL",
        "24, true, DONE",
    })
    void itIsOverWhenVoltageGravityAndAmpHoursSayAll(int hours, boolean levelSet, Advice advice) {
        assertThat(InitialCharge.of(PLAN, run(hours), levelSet).advice()).isEqualTo(advice);
    }

    @Test
    void whatIsMissingIsSaid() {
        assertThat(keys(InitialCharge.of(PLAN, List.of(), false)))
                .containsExactly(
                        "initial.missing.steady",
                        "initial.missing.readings",
                        "initial.missing.amp-hours",
                        "initial.missing.level");
        assertThat(InitialCharge.of(PLAN, List.of(), false).advice()).isEqualTo(Advice.BEGIN);
        assertThat(keys(InitialCharge.of(PLAN, run(14), true))).containsExactly("initial.missing.steady");
        assertThat(keys(InitialCharge.of(PLAN, run(15), true))).isEmpty();
    }

    @Test
    void oneReadingOutOfTheWindowBeginsTheCountAnew() {
        List<ChargeRow> rows = run(18);
        rows.add(row(19, 31.2, 3.6, 30, 1270));
        rows.add(row(20, 31.2, 3.6, 30, 1285));
        State state = InitialCharge.of(PLAN, rows, true);
        assertThat(keys(state)).containsExactly("initial.missing.readings");
        assertThat(state.missing().get(0).arguments().get(0)).isEqualTo(2);
    }

    @Test
    void readingsMinutesApartAreOneReading() {
        List<ChargeRow> rows = run(12);
        for (int i = 0; i < 5; i++) {
            rows.add(row(14 + i * 0.1, 31.2, 3.6, 30, 1285));
        }
        assertThat(keys(InitialCharge.of(PLAN, rows, true))).contains("initial.missing.readings");
    }

    @ParameterizedTest
    @CsvSource({"45.9, GO_ON", "46, PAUSE", "50, PAUSE"})
    void aboveTheLimitItPauses(double celsius, Advice advice) {
        List<ChargeRow> rows = run(5);
        rows.add(row(6, 29, 3.6, celsius, 1230));
        assertThat(InitialCharge.of(PLAN, rows, true).advice()).isEqualTo(advice);
    }

    /** It goes on only under the lower limit, not as soon as it is a little cooler. */
    @ParameterizedTest
    @CsvSource({"45, PAUSE", "38, PAUSE", "37.9, GO_ON"})
    void itGoesOnOnceItHasCooled(double celsius, Advice advice) {
        List<ChargeRow> rows = run(5);
        rows.add(row(6, 29, 3.6, 47, 1230));
        rows.add(row(7, 26, 0, celsius, 1230));
        assertThat(InitialCharge.of(PLAN, rows, true).advice()).isEqualTo(advice);
    }

    @Test
    void aPauseIsNoSteadyVoltageAndBringsNoAmpHours() {
        List<ChargeRow> rows = new ArrayList<>(run(11));
        rows.add(row(12, 26, 0, 47, 1285));
        rows.add(row(14, 26, 0, 37, 1285));
        State state = InitialCharge.of(PLAN, rows, true);
        assertThat(keys(state)).contains("initial.missing.steady");
        assertThat(state.ampHours()).isEqualTo(12 * 3.6, org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    void fasterThanTheSheetIsCautioned() {
        List<ChargeRow> rows = run(3);
        rows.add(row(4, 28, 5, 30, 1210));
        assertThat(InitialCharge.of(PLAN, rows, true).cautions())
                .extracting(Message::key)
                .containsExactly("initial.caution.amps");
    }
}
