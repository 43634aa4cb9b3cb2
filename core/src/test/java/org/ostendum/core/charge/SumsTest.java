package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.CapacitySums;
import org.ostendum.core.change.ChangeSums;
import org.ostendum.core.life.MoneySums;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.core.storage.SelfDischarge;
import org.ostendum.core.storage.SelfDischarge.Standing;
import org.ostendum.core.water.WaterUse;

/** Sums of the trade about charging, work, water, standing, changing and money. */
class SumsTest {
    /** 2.40 V a cell at 25 °C, 4 mV less for each kelvin above. */
    @ParameterizedTest
    @CsvSource({"24, 25, 57.6", "24, 35, 56.64", "18, 5, 44.64", "6, 25, 14.4"})
    void absorptionVoltage(int cells, double celsius, double volts) {
        assertThat(ChargeSums.absorption(cells, Celsius.of(celsius)).volts()).isCloseTo(volts, within(0.001));
        assertThatThrownBy(() -> ChargeSums.absorption(cells, Celsius.of(80))).isInstanceOf(OutOfRange.class);
    }

    @Test
    void aChargeTakesLongerTheMoreIsMissingAndTheWeakerTheCharger() {
        Duration half = ChargeSums.time(AmpHours.of(600), AmpHours.of(240), 1.12, new Amperes(100));
        Duration most = ChargeSums.time(AmpHours.of(600), AmpHours.of(480), 1.12, new Amperes(100));
        Duration weak = ChargeSums.time(AmpHours.of(600), AmpHours.of(480), 1.12, new Amperes(60));
        assertThat(most).isGreaterThan(half).isLessThan(weak);
        assertThat(most.toMinutes()).isBetween(6 * 60L, 9 * 60L);
        assertThatThrownBy(() -> ChargeSums.time(AmpHours.of(600), AmpHours.of(480), 1.12, new Amperes(5)))
                .isInstanceOf(OutOfRange.class);
    }

    @ParameterizedTest
    @CsvSource({"100, 100, true", "101, 100, false"})
    void ampereHourLaw(double amperes, double missing, boolean gentle) {
        assertThat(ChargeSums.isGentle(new Amperes(amperes), AmpHours.of(missing)))
                .isEqualTo(gentle);
    }

    /** IEC 60254-1: λ 0.006 and 30 °C; IEEE 450 and aircraft practice: 25 °C, 0.010 in tests below an hour. */
    @ParameterizedTest
    @CsvSource({
        "540, 330, 20, MOTIVE, 574.5",
        "600, 360, 30, MOTIVE, 600",
        "480, 300, 20, STATIONARY, 494.8",
        "30, 27, 15, AIRCRAFT, 33.3",
    })
    void aCapacityIsBroughtToItsTemperature(
            double measured, long minutes, double celsius, Duty duty, double corrected) {
        assertThat(CapacitySums.corrected(AmpHours.of(measured), Duration.ofMinutes(minutes), Celsius.of(celsius), duty)
                        .ampHours())
                .isCloseTo(corrected, within(0.06));
    }

    @Test
    void theRatedCurrentLastsTheRatedTime() {
        assertThat(CapacitySums.runTime(AmpHours.of(600), 6, 1.2, new Amperes(100)))
                .isEqualTo(Duration.ofHours(6));
        assertThat(CapacitySums.runTime(AmpHours.of(600), 6, 1.2, new Amperes(200))
                        .toMinutes())
                .isEqualTo(156);
        assertThatThrownBy(() -> CapacitySums.runTime(AmpHours.of(600), 6, 1.2, new Amperes(460)))
                .isInstanceOf(OutOfRange.class);
        assertThat(CapacitySums.cutOff(Duty.MOTIVE).volts()).isEqualTo(1.70);
    }

    /** Makers of car batteries state minutes at 75 A beside the capacity at 20 h: 8 V, 170 Ah, about an hour and a half. */
    @Test
    void aCarAtSeventyFiveAmperesIsSaid() {
        assertThat(CapacitySums.runTime(AmpHours.of(170), 20, 1.2, new Amperes(75))
                        .toMinutes())
                .isBetween(80L, 95L);
        assertThat(CapacitySums.mostCurrent(AmpHours.of(600), 6, 1.2).amperes()).isCloseTo(445, within(1.0));
    }

    @ParameterizedTest
    @CsvSource({"0, 600, 0, 0, true", "20, 600, 1.91, 0.0006, true", "300, 600, 30, 0.1547, false"})
    void aChainThatHangsAskewPullsMore(int off, int chain, double degrees, double added, boolean straight) {
        ChangeSums.Hang hang = ChangeSums.hang(off, chain);
        assertThat(hang.degrees()).isCloseTo(degrees, within(0.01));
        assertThat(hang.addedPull()).isCloseTo(added, within(0.0005));
        assertThat(hang.isStraight()).isEqualTo(straight);
    }

    @Test
    void loadsAddUp() {
        var lift = new CapacitySums.Load(new Amperes(200), Duration.ofMinutes(78));
        var drive = new CapacitySums.Load(new Amperes(100), Duration.ofHours(3));
        assertThat(CapacitySums.taken(AmpHours.of(600), 6, 1.2, List.of(lift, drive)))
                .isCloseTo(1.0, within(0.003));
    }

    /** 0.336 g for each Ah and cell. */
    @ParameterizedTest
    @CsvSource({"18, 60, 0.363", "24, 100, 0.806", "1, 1, 0.000336"})
    void waterOfOvercharge(int cells, double ampHours, double litres) {
        assertThat(WaterUse.of(cells, AmpHours.of(ampHours)).litres()).isCloseTo(litres, within(0.001));
    }

    @Test
    void aReserveLastsHalfAsLongInAnOldBattery() {
        Duration young = WaterUse.reserveLasts(new Litres(0.6), AmpHours.of(60), 1, 1);
        Duration old = WaterUse.reserveLasts(new Litres(0.6), AmpHours.of(60), 2, 1);
        assertThat(young.toDays()).isEqualTo(29);
        assertThat(old.toSeconds()).isCloseTo(young.toSeconds() / 2, within(1L));
    }

    @ParameterizedTest
    @CsvSource({
        "AIRCRAFT, 0, false, 25, 1.0",
        "AIRCRAFT, 0, true, 25, 3.0",
        "AIRCRAFT, 0, false, 35, 2.0",
        "AIRCRAFT, 0, false, 5, 0.25",
        "MOTIVE, 0, false, 25, 0.138",
        "MOTIVE, 1, false, 25, 0.368",
    })
    void standingCostsPoints(Duty duty, double age, boolean dirty, double celsius, double points) {
        assertThat(SelfDischarge.pointsPerDay(new Standing(duty, age, dirty, Celsius.of(celsius))))
                .isCloseTo(points, within(0.001));
    }

    /** 1.280 to 1.255 at a point a day: 25 days; below, the cold decides. */
    @Test
    void aBatteryIsChargedBeforeItIsLowAndBeforeItFreezes() {
        Standing standing = new Standing(Duty.AIRCRAFT, 0.5, false, Celsius.of(25));
        CorrectedGravity full = CorrectedGravity.ofPoints(1280);
        assertThat(SelfDischarge.mayStand(full, CorrectedGravity.ofPoints(1255), Celsius.of(-20), standing))
                .contains(Duration.ofDays(25));
        assertThat(SelfDischarge.mayStand(full, CorrectedGravity.ofPoints(1100), Celsius.of(-52), standing))
                .contains(Duration.ofDays(29));
        assertThat(SelfDischarge.mayStand(
                        full,
                        CorrectedGravity.ofPoints(1100),
                        Celsius.of(-5),
                        new Standing(Duty.MOTIVE, 0, false, Celsius.of(-5))))
                .isEmpty();
    }

    /** 8-8-8 wants three batteries for each truck. */
    @ParameterizedTest
    @CsvSource({"8, 8, 8, 3", "6, 8, 8, 4", "8, 8, 0, 2", "12, 8, 4, 2"})
    void poolOfBatteries(long work, long charge, long cool, int batteries) {
        assertThat(ChangeSums.pool(Duration.ofHours(work), Duration.ofHours(charge), Duration.ofHours(cool)))
                .isEqualTo(batteries);
    }

    @ParameterizedTest
    @CsvSource({
        "800, 100, 50, 12, 7, 0",
        "830, 100, 50, 12, 7, 15",
        "160, 100, 50, 12, 1, 20",
        "2400, 100, 50, 12, 12, 550"
    })
    void hooksHangOverTheEyes(int eyes, int first, int step, int notches, int notch, int off) {
        assertThat(ChangeSums.notches(eyes, first, step, notches)).isEqualTo(new ChangeSums.Notches(notch, notch, off));
    }

    @Test
    void aKilowattHourHasItsPrice() {
        assertThat(MoneySums.perKilowattHour(6000, 1500, 20, 0.2, 0.8, 1)).isCloseTo(0.5, within(1e-9));
        assertThatThrownBy(() -> MoneySums.perKilowattHour(6000, 10, 20, 0.2, 0.8, 1))
                .isInstanceOf(OutOfRange.class);
    }

    /** A new cell for 400 and 300 cycles to go, against 6000 less 500 for 1500 cycles. */
    @Test
    void repairOrReplaceByThePriceOfACycle() {
        assertThat(MoneySums.choose(400, 300, 6000, 500, 1500).isRepair()).isTrue();
        assertThat(MoneySums.choose(400, 100, 6000, 500, 1500).isRepair()).isFalse();
    }
}
