package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;

class EndOfChargeTest {
    private static final Instant START = Instant.parse("2026-03-02T18:00:00Z");
    private static final BatteryModel TRAY = new BatteryModel(
            "tray",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
            AmpHours.of(600),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private static ChargeSample sample(int minute, double perCell, double amperes, double celsius) {
        return new ChargeSample(
                START.plus(Duration.ofMinutes(minute)),
                Volts.of(18 * perCell),
                new Amperes(amperes),
                Celsius.of(celsius));
    }

    private static List<ChargeSample> course(int minutes, IntToDoubleFunction perCell, double amperes) {
        List<ChargeSample> samples = new ArrayList<>();
        for (int m = 0; m <= minutes; m += 5) {
            samples.add(sample(m, perCell.applyAsDouble(m), amperes, 30));
        }
        return samples;
    }

    private static List<EndOfCharge.Pilot> pilots(int minutesApart, int... points) {
        List<EndOfCharge.Pilot> pilots = new ArrayList<>();
        for (int i = 0; i < points.length; i++) {
            pilots.add(new EndOfCharge.Pilot(
                    START.plus(Duration.ofMinutes((long) minutesApart * i)), CorrectedGravity.ofPoints(points[i])));
        }
        return pilots;
    }

    private static EndOfCharge.Verdict judge(
            List<ChargeSample> samples, List<EndOfCharge.Pilot> pilots, @Nullable Double taken, boolean lamp) {
        return EndOfCharge.judge(
                new EndOfCharge.Known(TRAY, TRAY.cells(), Rules.standard(), samples, pilots, taken, null, lamp));
    }

    @Test
    void threeEqualGravitiesAnHourApartAreEnough() {
        EndOfCharge.Verdict verdict = judge(List.of(), pilots(60, 1271, 1282, 1283, 1282), null, false);
        assertThat(verdict.full()).isTrue();
        assertThat(verdict.signs()).containsExactly(FullSign.EQUAL_GRAVITIES);
    }

    @Test
    void equalOnesTooSoonOrOfAnEmptyCellTellNothing() {
        assertThat(judge(List.of(), pilots(15, 1282, 1283, 1282), null, false).signs())
                .isEmpty();
        assertThat(judge(List.of(), pilots(60, 1131, 1130, 1131), null, false).signs())
                .isEmpty();
        assertThat(judge(List.of(), pilots(60, 1270, 1276, 1282), null, false).signs())
                .isEmpty();
    }

    @Test
    void aLampAloneIsNoEvidence() {
        EndOfCharge.Verdict verdict = judge(course(60, m -> 2.3, 90), List.of(), 300.0, true);
        assertThat(verdict.full()).isFalse();
        assertThat(verdict.signs()).containsExactly(FullSign.LAMP);
    }

    @Test
    void steadyAtTheFinishAndReturnedIsFull() {
        List<ChargeSample> steady = course(300, m -> 2.62, 24);
        assertThat(EndOfCharge.returned(steady)).isCloseTo(120, within(0.01));
        EndOfCharge.Verdict verdict = judge(steady, List.of(), 110.0, false);
        assertThat(verdict.signs()).containsExactlyInAnyOrder(FullSign.STEADY_VOLTAGE, FullSign.RETURNED);
        assertThat(verdict.full()).isTrue();
        assertThat(judge(steady, List.of(), 130.0, false).full()).isFalse();
    }

    /** The voltage held by the charger in absorption is steady as well, and means nothing: the current is not the finish's. */
    @Test
    void aVoltageTheChargerHoldsIsNoSign() {
        assertThat(judge(course(300, m -> 2.40, 90), List.of(), null, false).signs())
                .isEmpty();
        assertThat(judge(course(300, m -> 2.5 + m * 0.0004, 24), List.of(), null, false)
                        .signs())
                .isEmpty();
    }

    /** Warmer by 5 K the same cell shows 20 mV less: that is no fall. */
    @Test
    void temperatureIsTakenOutOfTheVoltage() {
        List<ChargeSample> samples = new ArrayList<>();
        for (int m = 0; m <= 180; m += 5) {
            double warmer = m / 36.0;
            samples.add(sample(m, 2.62 - 0.004 * warmer, 24, 30 + warmer));
        }
        assertThat(judge(samples, List.of(), null, false).signs()).containsExactly(FullSign.STEADY_VOLTAGE);
    }

    /** Registers full of nonsense never make a battery full. */
    @Test
    void impossibleSamplesArePassedOver() {
        List<ChargeSample> samples = course(300, m -> 2.62, 24);
        List<ChargeSample> garbage = new ArrayList<>();
        for (int m = 0; m <= 300; m += 5) {
            garbage.add(sample(m, 0.01, 24, 20));
            garbage.add(sample(m + 1, 3.9, 4000, 20));
        }
        assertThat(judge(garbage, List.of(), 100.0, false).signs()).isEmpty();
        garbage.addAll(samples);
        garbage.sort((a, b) -> a.at().compareTo(b.at()));
        assertThat(judge(garbage, List.of(), 110.0, false).full()).isTrue();
    }

    /** 24 A from three to five o'clock, written down each hour. */
    @Test
    void hourlyReadingsByHandAreEnough() {
        List<ChargeSample> hourly = List.of(
                sample(0, 2.55, 40, 28),
                sample(60, 2.62, 24, 30),
                sample(120, 2.621, 24, 30),
                sample(180, 2.62, 24, 30));
        assertThat(judge(hourly, List.of(), null, false).signs()).containsExactly(FullSign.STEADY_VOLTAGE);
        assertThat(EndOfCharge.returned(hourly)).isCloseTo(80, within(0.01));
        List<ChargeSample> rising =
                List.of(sample(0, 2.50, 24, 30), sample(60, 2.62, 24, 30), sample(120, 2.50, 24, 30));
        assertThat(judge(rising, List.of(), null, false).signs()).isEmpty();
    }

    @Test
    void whatWasNotSeenIsNotCounted() {
        List<ChargeSample> gap = new ArrayList<>(course(60, m -> 2.5, 60));
        gap.add(sample(600, 2.6, 60, 30));
        gap.add(sample(610, 2.6, 60, 30));
        assertThat(EndOfCharge.returned(gap)).isCloseTo(70, within(0.01));
    }

    @Test
    void thePilotIsAskedForOnceItFinishesAndAnHourAfterTheLast() {
        List<ChargeSample> samples = new ArrayList<>(course(120, m -> 2.3, 90));
        for (int m = 125; m <= 200; m += 5) {
            samples.add(sample(m, 2.55, 30, 30));
        }
        assertThat(judge(course(120, m -> 2.3, 90), List.of(), null, false).nextPilot())
                .isNull();
        assertThat(judge(samples, List.of(), null, false).nextPilot()).isEqualTo(START.plus(Duration.ofMinutes(125)));
        assertThat(judge(samples, pilots(60, 1270), null, false).nextPilot())
                .isEqualTo(START.plus(Duration.ofHours(1)));
    }

    @Test
    void whatTheChargerCountedGoesBeforeASumWithGaps() {
        EndOfCharge.Known gaps =
                new EndOfCharge.Known(TRAY, TRAY.cells(), Rules.standard(), List.of(), List.of(), 400.0, 430.0, true);
        EndOfCharge.Known none =
                new EndOfCharge.Known(TRAY, TRAY.cells(), Rules.standard(), List.of(), List.of(), 400.0, null, true);

        assertThat(EndOfCharge.judge(gaps).full()).isTrue();
        assertThat(EndOfCharge.judge(none).full()).isFalse();
    }
}
