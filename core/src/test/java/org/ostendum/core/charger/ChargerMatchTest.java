package org.ostendum.core.charger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

class ChargerMatchTest {
    private static final Rules RULES = Rules.standard();

    private static BatteryModel battery(int cells, double ampHours, CellKind kind) {
        return new BatteryModel(
                "b",
                kind,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(cells / 6, 6),
                AmpHours.of(ampHours),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
    }

    private static ChargerSheet charger(double amperes, String connector) {
        return new ChargerSheet(
                "C1",
                ChargerKind.TAPER_WITH_FINISH,
                Set.of(12, 18),
                Set.of(CellKind.FLOODED),
                connector,
                new Amperes(amperes),
                AmpHours.of(300),
                AmpHours.of(800),
                Volts.of(1.6),
                false);
    }

    private static ChargerMatch.Surroundings now(
            String connector, @Nullable Double rest, double hydrogen, @Nullable Double kilowatts) {
        return new ChargerMatch.Surroundings(
                connector,
                rest == null ? null : Volts.of(rest),
                hydrogen,
                kilowatts,
                ChargeKind.CONVENTIONAL,
                false,
                0);
    }

    private static List<Mismatch.Kind> kinds(List<Mismatch> misfits) {
        return misfits.stream().map(Mismatch::kind).toList();
    }

    @Test
    void aGoodMatchHasNothingAgainstIt() {
        assertThat(ChargerMatch.of(
                        charger(100, "grey 320"),
                        battery(18, 600, CellKind.FLOODED),
                        now("Grey 320", 36.0, 0.004, 20.0),
                        RULES))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "24, 600, FLOODED, 100, VOLTAGE, STOP",
        "18, 600, GEL, 100, CHEMISTRY, STOP",
        "18, 900, FLOODED, 100, CAPACITY, ACT",
        "18, 250, FLOODED, 60, CAPACITY, ACT",
        "18, 600, FLOODED, 160, TOO_MANY_AMPERES, ACT",
        "18, 600, FLOODED, 50, TOO_FEW_AMPERES, WATCH",
    })
    void whatDoesNotFitIsSaid(
            int cells, double ampHours, CellKind kind, double amperes, Mismatch.Kind misfit, Severity severity) {
        List<Mismatch> found = ChargerMatch.of(
                charger(amperes, ""), battery(cells, ampHours, kind), ChargerMatch.Surroundings.UNKNOWN, RULES);
        assertThat(kinds(found)).containsExactly(misfit);
        assertThat(found.get(0).severity()).isEqualTo(severity);
        assertThat(ChargerMatch.isRefused(found)).isEqualTo(severity == Severity.STOP);
    }

    @Test
    void theWorldAroundHasASay() {
        BatteryModel tray = battery(18, 600, CellKind.FLOODED);
        assertThat(kinds(ChargerMatch.of(charger(100, "red 175"), tray, now("grey 320", null, 0, null), RULES)))
                .containsExactly(Mismatch.Kind.CONNECTOR);
        assertThat(kinds(ChargerMatch.of(charger(100, "red 175"), tray, now("", 27.0, 0, null), RULES)))
                .containsExactly(Mismatch.Kind.LOCKOUT);
        assertThat(kinds(ChargerMatch.of(charger(100, ""), tray, now("", null, 0.011, null), RULES)))
                .containsExactly(Mismatch.Kind.AIR);
        assertThat(kinds(ChargerMatch.of(charger(100, ""), tray, now("", null, 0, 3.0), RULES)))
                .containsExactly(Mismatch.Kind.POWER);
    }

    @Test
    void theWorstComesFirst() {
        List<Mismatch> found =
                ChargerMatch.of(charger(300, ""), battery(24, 900, CellKind.FLOODED), now("", null, 0.03, null), RULES);
        assertThat(found).hasSizeGreaterThan(2);
        assertThat(found.stream().map(Mismatch::severity).toList()).isSortedAccordingTo((a, b) -> b.compareTo(a));
    }

    @Test
    void aPlateAloneMakesASheetThatSuitsItsCurrent() {
        ChargerSheet sheet = ChargerSheet.ofPlate("C9", 18, new Amperes(96));
        assertThat(ChargerMatch.of(sheet, battery(18, 600, CellKind.FLOODED), ChargerMatch.Surroundings.UNKNOWN, RULES))
                .isEmpty();
        assertThat(sheet.voltages()).isEqualTo("36 V");
    }

    /** A charger for eighteen cells would overcharge the seventeen that are left. */
    @Test
    void aBridgedCellWantsAChargerForOneCellLess() {
        ChargerMatch.Surroundings bridged =
                new ChargerMatch.Surroundings("", null, 0, null, ChargeKind.CONVENTIONAL, false, 1);
        BatteryModel battery = battery(18, 600, CellKind.FLOODED);
        assertThat(kinds(ChargerMatch.of(ChargerSheet.ofPlate("C9", 18, new Amperes(96)), battery, bridged, RULES)))
                .containsExactly(Mismatch.Kind.VOLTAGE);
        assertThat(ChargerMatch.of(ChargerSheet.ofPlate("C9", 17, new Amperes(96)), battery, bridged, RULES))
                .isEmpty();
    }

    private static ChargerMatch.Surroundings wanting(ChargeKind kind, boolean batteryMadeForIt) {
        return new ChargerMatch.Surroundings("", null, 0, null, kind, batteryMadeForIt, 0);
    }

    @ParameterizedTest
    @CsvSource({"false, false, 1", "true, false, 1", "false, true, 1", "true, true, 0"})
    void shortChargesInTheBreaksWantChargerAndBatteryMadeForThem(boolean charger, boolean battery, int misfits) {
        ChargerSheet sheet = new ChargerSheet(
                "C1",
                ChargerKind.TAPER_WITH_FINISH,
                Set.of(18),
                Set.of(CellKind.FLOODED),
                "",
                new Amperes(100),
                AmpHours.of(300),
                AmpHours.of(800),
                Volts.of(1.6),
                charger);
        assertThat(ChargerMatch.of(
                        sheet, battery(18, 600, CellKind.FLOODED), wanting(ChargeKind.OPPORTUNITY, battery), RULES))
                .hasSize(misfits);
    }

    @Test
    void sealedCellsAreNeverEqualised() {
        ChargerSheet gel = new ChargerSheet(
                "C1",
                ChargerKind.TAPER_WITH_FINISH,
                Set.of(18),
                Set.of(CellKind.GEL),
                "",
                new Amperes(100),
                AmpHours.of(300),
                AmpHours.of(800),
                Volts.of(1.6),
                false);
        assertThat(kinds(ChargerMatch.of(
                        gel, battery(18, 600, CellKind.GEL), wanting(ChargeKind.EQUALISE, false), RULES)))
                .containsExactly(Mismatch.Kind.SCHOOL);
    }
}
