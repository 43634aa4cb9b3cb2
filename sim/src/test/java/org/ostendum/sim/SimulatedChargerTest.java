package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.ChargerStatus.State;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;

class SimulatedChargerTest {
    private static final Duration MINUTE = Duration.ofMinutes(1);
    private static final BatteryModel TRAY = new BatteryModel(
            "T",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
            AmpHours.of(600),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private static SimulatedCharger charger(ChargerKind kind, int cells, double amps) {
        return new SimulatedCharger(new ChargerSheet(
                "C1",
                kind,
                Set.of(cells),
                Set.of(CellKind.FLOODED),
                "",
                new Amperes(amps),
                AmpHours.of(0),
                AmpHours.of(5000),
                Volts.of(1.6),
                false));
    }

    private static RoomBattery battery(double missing) {
        return RoomBattery.of(TRAY, missing, 5);
    }

    private static double hoursUntilDone(SimulatedCharger charger, int mostHours) {
        for (int minute = 0; minute < mostHours * 60; minute++) {
            charger.pass(MINUTE);
            if (charger.status().state().isLampLit()) {
                return minute / 60.0;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    @ParameterizedTest
    @EnumSource(
            value = ChargerKind.class,
            names = {"TAPER_WITH_FINISH", "FERRO_TAPER", "AUTOMATIC_STOP", "MAINTAINING"})
    void onesThatFindTheEndFillTheBatteryWithinTheNight(ChargerKind kind) {
        SimulatedCharger charger = charger(kind, 18, 100);
        RoomBattery battery = battery(0.65);
        charger.plug(battery);

        assertThat(hoursUntilDone(charger, 24)).isBetween(5.0, 12.0);
        assertThat(battery.lacking()).isLessThan(0.04 * 600);
        assertThat(charger.status().ampHours().ampHours()).isBetween(0.65 * 600 * 1.05, 0.65 * 600 * 1.25);
    }

    @Test
    void aTimerEndsFullOrNot() {
        SimulatedCharger charger = charger(ChargerKind.TIMER, 18, 30);
        RoomBattery battery = battery(0.7);
        charger.plug(battery);

        assertThat(hoursUntilDone(charger, 24)).isEqualTo(8, within(0.1));
        assertThat(battery.lacking()).isGreaterThan(0.2 * 600);
    }

    @Test
    void oneCurrentGoesOnUntilSomebodyEndsIt() {
        SimulatedCharger charger = charger(ChargerKind.CONSTANT_CURRENT, 18, 30);
        charger.plug(battery(0.2));

        assertThat(hoursUntilDone(charger, 20)).isInfinite();
        assertThat(charger.status().amperes().amperes()).isEqualTo(30);
    }

    @Test
    void aMaintainingOneKeepsASmallCurrentFlowing() {
        SimulatedCharger charger = charger(ChargerKind.MAINTAINING, 18, 100);
        charger.plug(battery(0.3));
        hoursUntilDone(charger, 24);
        charger.pass(MINUTE);

        assertThat(charger.status().state()).isEqualTo(State.KEEPING);
        assertThat(charger.status().amperes().amperes()).isEqualTo(3);
    }

    @Test
    void theCourseGoesThroughItsPhasesInOrderAndCurrentFalls() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 18, 100);
        charger.plug(battery(0.65));
        int phase = 0;
        double amps = 100;
        for (int minute = 0; minute < 9 * 60; minute++) {
            charger.pass(MINUTE);
            ChargerStatus now = charger.status();
            assertThat(now.state().ordinal()).isGreaterThanOrEqualTo(phase);
            assertThat(now.amperes().amperes()).isLessThanOrEqualTo(amps);
            phase = now.state().ordinal();
            amps = now.amperes().amperes();
        }
        assertThat(phase).isGreaterThanOrEqualTo(State.FINISH.ordinal());
    }

    @ParameterizedTest
    @CsvSource({"WILL_NOT_START, TROUBLE", "STOPS_EARLY, DONE", "STICKS_IN_FINISH, FINISH"})
    void plantedDefects(SimulatedCharger.Defect defect, State after) {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 18, 100);
        charger.plant(defect);
        RoomBattery battery = battery(0.65);
        charger.plug(battery);
        for (int minute = 0; minute < 16 * 60; minute++) {
            charger.pass(MINUTE);
        }
        assertThat(charger.status().state()).isEqualTo(after);
    }

    @Test
    void oneThatStopsEarlyLeavesTheBatteryShort() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 18, 100);
        charger.plant(SimulatedCharger.Defect.STOPS_EARLY);
        RoomBattery battery = battery(0.65);
        charger.plug(battery);
        hoursUntilDone(charger, 24);

        assertThat(charger.status().ampHours().ampHours()).isLessThan(0.65 * 600);
        assertThat(battery.lacking()).isGreaterThan(0.2 * 600);
    }

    @Test
    void theWrongVoltageBoilsTheBattery() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 18, 100);
        charger.plant(SimulatedCharger.Defect.WRONG_VOLTAGE);
        RoomBattery battery = battery(0.5);
        charger.plug(battery);
        for (int minute = 0; minute < 10 * 60; minute++) {
            charger.pass(MINUTE);
        }
        assertThat(battery.celsius().degrees()).isGreaterThan(49);
        assertThat(battery.gassed()).isGreaterThan(18 * 300);
    }

    @Test
    void aBatteryBelowItsSensingVoltageLocksItOut() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 24, 100);
        charger.plug(battery(0.5));

        assertThat(charger.status().trouble()).isEqualTo(Trouble.LOCKOUT);
        charger.pass(MINUTE);
        assertThat(charger.status().amperes().amperes()).isZero();
    }

    @Test
    void aChargerForFewerCellsDoesNotStart() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 12, 100);
        charger.plug(battery(0.5));

        assertThat(charger.status().trouble()).isEqualTo(Trouble.WRONG_VOLTAGE);
    }

    @Test
    void aLowCurrentLastsItsHours() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 18, 100);
        charger.plug(battery(0), 18, Duration.ofHours(3));

        assertThat(hoursUntilDone(charger, 24)).isEqualTo(3, within(0.1));
        assertThat(charger.status().ampHours().ampHours()).isEqualTo(54, within(1.0));
    }

    @Test
    void eachChargeIsCountedAndItsEnergyMetered() {
        SimulatedCharger charger = charger(ChargerKind.TAPER_WITH_FINISH, 18, 100);
        charger.plug(battery(0.5));
        hoursUntilDone(charger, 24);
        charger.unplug();
        charger.plug(battery(0.5));
        charger.pass(MINUTE);

        assertThat(charger.status().starts()).isEqualTo(2);
        assertThat(charger.status().running()).isEqualTo(MINUTE);
        // 300 Ah × 1.12 at some 41 V, drawn at 88 %
        assertThat(charger.status().wattHours() / 1000.0).isBetween(13.0, 19.0);
    }

    @Test
    void gasIsTheWaterThatGoes() {
        RoomBattery battery = battery(0);
        double before = battery.toMark(1);
        battery.pass(24, Duration.ofHours(5));

        // 24 A for 5 h, nearly all of it into gas, 0.336 ml for each Ah of a cell
        assertThat(battery.gassed() / 18).isBetween(110.0, 120.0);
        assertThat(battery.toMark(1) - before).isBetween(110 * 0.336, 120 * 0.336);
        battery.pour(battery.toMark(1));
        assertThat(battery.toMark(1)).isLessThan(1);
    }
}
