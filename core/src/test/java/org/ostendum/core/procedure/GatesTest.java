package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.state.Told.hoursAgo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CaseSize;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.charger.Mismatch;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.judge.Message;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.procedure.GateOutcome.Shut;
import org.ostendum.core.procedure.GateOutcome.Unknown;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.procedure.Situation.Target;
import org.ostendum.core.procedure.Situation.WeightPlate;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.Told;
import org.ostendum.core.state.fact.OpenDefect;

class GatesTest {
    private static final Instant NOW = Told.NOW;
    private static final Trained TRAINED = new Trained(Map.of(Training.BATTERY_CARE, LocalDate.of(2026, 1, 1)));
    private static final StationState EYEWASH =
            new StationState(StationCheck.EYEWASH_FLUSH, hoursAgo(24), true, Kit.NONE);

    private Told told = Told.inOrder();
    private int weight = 930;
    private @Nullable Target into = new Target("F3", 12, "grey", new WeightPlate(900, 1000), null);
    private List<StationState> stations =
            List.of(EYEWASH, new StationState(StationCheck.VENTILATION, hoursAgo(24), true, Kit.NONE));
    private Trained trained = TRAINED;

    private @Nullable List<Mismatch> misfits = List.of();

    private Situation situation() {
        return new Situation(
                NOW,
                ZoneOffset.UTC,
                Rules.standard(),
                Training.BATTERY_CARE,
                trained,
                stations,
                new Subject("T-1", told.state(), weight, "grey"),
                misfits,
                into);
    }

    private GateOutcome ask(GateKey key) {
        return Gates.ask(key, situation());
    }

    private void expectShut(GateKey key, String why, @Nullable String opensBy) {
        assertThat(ask(key)).isInstanceOf(Shut.class);
        Shut shut = (Shut) ask(key);
        assertThat(shut.why().key()).isEqualTo(why);
        assertThat(shut.opensBy()).isEqualTo(opensBy);
    }

    @ParameterizedTest
    @EnumSource(GateKey.class)
    void everyGateIsOpenForABatteryInOrder(GateKey key) {
        assertThat(ask(key)).isEqualTo(GateOutcome.OPEN);
    }

    @ParameterizedTest
    @EnumSource(GateKey.class)
    void everyBatteryGateLetsAJobOnTheRoomThrough(GateKey key) {
        Situation room = situation();
        assertThat(Gates.ask(
                        key,
                        new Situation(
                                NOW, room.zone(), room.rules(), room.needed(), trained, stations, null, null, null)))
                .isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void theUntrainedMayLookOnly() {
        trained = Trained.NOTHING;
        expectShut(GateKey.TRAINED, "gate.TRAINED.never", null);
        trained = new Trained(Map.of(Training.BATTERY_CARE, LocalDate.of(2025, 5, 1)));
        expectShut(GateKey.TRAINED, "gate.TRAINED.expired", null);
        assertThat(GateKey.TRAINED.mayBeOverridden()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "EYEWASH_FLUSH, 169, true, gate.STATION_READY.OVERDUE",
        "EYEWASH_INSPECTION, 9000, true, gate.STATION_READY.OVERDUE",
        "SPILL_KIT, 1, false, gate.STATION_READY.FOUND_WANTING",
        "SHOWER, -1, true, gate.STATION_READY.NEVER_CHECKED",
    })
    void noCapComesOffWithoutHelpAtHand(StationCheck check, int hours, boolean sound, String why) {
        StationState asked = new StationState(check, hours < 0 ? null : hoursAgo(hours), sound, Kit.NONE);
        stations = check == StationCheck.EYEWASH_FLUSH ? List.of(asked) : List.of(EYEWASH, asked);
        expectShut(GateKey.STATION_READY, why, "station-check");
    }

    @Test
    void anOverdueSignKeepsNobodyFromTheCells() {
        stations = List.of(EYEWASH, new StationState(StationCheck.SIGNS, hoursAgo(9000), true, Kit.NONE));
        assertThat(ask(GateKey.STATION_READY)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void aFanThatStandsStillStopsChargers() {
        stations = List.of(new StationState(StationCheck.VENTILATION, hoursAgo(1), false, Kit.NONE));
        expectShut(GateKey.FAN_ON, "gate.FAN_ON.off", "station-check");
    }

    @Test
    void whereNoEyewashIsOnRecordNobodyKnowsOfHelp() {
        stations = List.of(new StationState(StationCheck.VENTILATION, hoursAgo(24), true, Kit.NONE));
        expectShut(GateKey.STATION_READY, "gate.STATION_READY.none", "station-check");
    }

    @Test
    void aDamagedBatteryIsASpillInWaiting() {
        told.found(5, DefectKind.DAMAGED_CASE);
        expectShut(GateKey.UNDAMAGED, "gate.UNDAMAGED.shut", "spill");
    }

    @Test
    void sealedCellsHaveNothingToOpen() {
        told.of(new BatteryModel(
                "sealed",
                CellKind.AGM,
                Duty.MOTIVE,
                Told.SIX.layout(),
                Told.SIX.capacity(),
                6,
                GravityMarks.usualFor(Duty.MOTIVE)));
        expectShut(GateKey.HAS_CAPS, "gate.HAS_CAPS.shut", null);
        assertThat(GateKey.HAS_CAPS.mayBeOverridden()).isFalse();
    }

    /** Defects by kind shut what they must and nothing else. */
    @ParameterizedTest
    @CsvSource({
        "LOOSE_POST, true, true",
        "AFTER_INCIDENT, true, true",
        "FRAYED_CABLE, true, true",
        "WORN_PLUG, true, true",
        "WORN_LUG, true, true",
        "PITTED_CONNECTOR, true, true",
        "LOOSE_HOLD_DOWN, false, true",
        "BLOCKED_VENT, true, false",
        "LOW_LEVEL, true, false",
        "CORRODED_POST, false, false",
        "DIRTY_TOP, false, false"
    })
    void aDefectShutsWhatItMust(DefectKind kind, boolean charge, boolean work) {
        told.found(5, kind);
        assertThat(ask(GateKey.SOUND_FOR_CHARGE) instanceof Shut).isEqualTo(charge);
        assertThat(ask(GateKey.SOUND_FOR_WORK) instanceof Shut).isEqualTo(work);
        told.righted(1, kind);
        assertThat(ask(GateKey.SOUND_FOR_CHARGE)).isEqualTo(GateOutcome.OPEN);
        assertThat(ask(GateKey.SOUND_FOR_WORK)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void whatIsWrongWithItsMachineKeepsTheBatteryToo() {
        told.around(new Surroundings(
                null, null, List.of(new OpenDefect("m", DefectKind.LOOSE_HOLD_DOWN, hoursAgo(3))), null, null));
        expectShut(GateKey.SOUND_FOR_WORK, "gate.SOUND_FOR_WORK.shut", null);
    }

    @Test
    void waterOnlyAfterAFullCharge() {
        told.worked(3, 120);
        expectShut(GateKey.FULL_BEFORE_WATER, "gate.FULL_BEFORE_WATER.shut", "charge");
        told.charged(1, 140);
        assertThat(ask(GateKey.FULL_BEFORE_WATER)).isEqualTo(GateOutcome.OPEN);
    }

    /** The charge that was stopped at 51 °C with a tenth of an ampere-hour put back. */
    @Test
    void aChargeThatWasStoppedFillsNothing() {
        told.worked(3, 210).ended(1, Ending.STOPPED, 0.1).warm(1, 51);
        expectShut(GateKey.FULL_BEFORE_WATER, "gate.FULL_BEFORE_WATER.early", "charge");
        expectShut(GateKey.CHARGED, "gate.CHARGED.shut", "charge");
        expectShut(GateKey.COOLED, "gate.COOLED.shut", null);
        expectShut(GateKey.NOT_HOT, "gate.NOT_HOT.shut", null);
    }

    @Test
    void theLampAloneIsNoEvidence() {
        told.worked(12, 150).ended(2, Ending.FULL, null, FullSign.LAMP);
        assertThat(ask(GateKey.FULL_BEFORE_WATER)).isInstanceOf(Unknown.class);
        assertThat(ask(GateKey.JUST_FULL)).isInstanceOf(Unknown.class);
        assertThat(ask(GateKey.CHARGED)).isInstanceOf(Unknown.class);
    }

    @Test
    void nothingIsWateredSevenMinutesIntoBulk() {
        told.worked(3, 150).chargeBegun(0.1);
        expectShut(GateKey.FULL_BEFORE_WATER, "gate.FULL_BEFORE_WATER.charging", "finish-charge");
        expectShut(GateKey.NOT_CHARGING, "gate.NOT_CHARGING.shut", "finish-charge");
    }

    @Test
    void wherePlatesShowThatJobIsOffered() {
        told.looked(2, Level.RIGHT, Level.RIGHT, Level.RIGHT, Level.EXPOSED).worked(1, 50);
        expectShut(GateKey.FULL_BEFORE_WATER, "gate.FULL_BEFORE_WATER.shut", "cover-plates");
        expectShut(GateKey.PLATES_COVERED, "gate.PLATES_COVERED.shut", "cover-plates");
        expectShut(GateKey.NO_STOP_FINDING, "finding.dry.exposed", null);
        told.watered(0.5, 60, BatteryEvent.Fill.COVERED);
        assertThat(ask(GateKey.PLATES_COVERED)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void aCellOverItsMarkIsDrawnOffBeforeItGasses() {
        told.looked(2, Level.OVER, Level.OVER);
        expectShut(GateKey.NOT_OVER_MARK, "gate.NOT_OVER_MARK.shut", "draw-off");
        told.and(new BatteryEvent.DrewOff(hoursAgo(1), new Millilitres(40), null));
        assertThat(ask(GateKey.NOT_OVER_MARK)).isEqualTo(GateOutcome.OPEN);
    }

    /** Not known is no leave to go on. */
    @ParameterizedTest
    @EnumSource(
            value = GateKey.class,
            names = {"FULL_BEFORE_WATER", "JUST_FULL", "CHARGED", "PLATES_COVERED", "NOT_HOT", "RIGHT_VOLTAGE"})
    void ofABatteryWithoutHistoryNothingIsKnown(GateKey key) {
        told = Told.nothing();
        into = new Target("F3", null, "", null, null);
        assertThat(ask(key)).isInstanceOf(Unknown.class);
    }

    @Test
    void noRoundBetweenWaterAndTheNextGassingCharge() {
        told.watered(19, 500);
        expectShut(GateKey.MIXED_BEFORE_ROUND, "gate.MIXED_BEFORE_ROUND.shut", "charge");
        told.worked(12, 150).charged(3, 168);
        assertThat(ask(GateKey.MIXED_BEFORE_ROUND)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void readingsComeBeforeWater() {
        told = Told.nothing().worked(32, 150).ended(20, Ending.FULL, null, FullSign.EQUAL_GRAVITIES);
        expectShut(GateKey.READINGS_FIRST, "gate.READINGS_FIRST.never", "round");
    }

    @ParameterizedTest
    @CsvSource({"39.9, 1, false", "40, 1, true", "45, 1, true", "45, 7.9, true", "45, 8.1, false"})
    void aHotBatteryIsNotCharged(double celsius, double hours, boolean shut) {
        told.warm(hours, celsius);
        assertThat(ask(GateKey.NOT_HOT) instanceof Shut).isEqualTo(shut);
    }

    @Test
    void straightAfterWorkSomebodyHasToFeelHowWarmItIs() {
        told.worked(1, 150);
        assertThat(ask(GateKey.NOT_HOT)).isInstanceOf(Unknown.class);
    }

    /** Electrolyte of 1.150 freezes at −15 °C (Vinal). */
    @ParameterizedTest
    @CsvSource({"1150, -15, true", "1150, -14, false", "1280, -40, false", "1125, -12, true", "1310, -60, false"})
    void nothingFrozenIsCharged(int points, double celsius, boolean shut) {
        told.read(2, RoundState.IN_SERVICE, points, points, points, points, points, points)
                .warm(1, celsius);
        assertThat(ask(GateKey.NOT_FROZEN) instanceof Shut).isEqualTo(shut);
        assertThat(GateKey.NOT_FROZEN.mayBeOverridden()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"7.9, true", "8, false"})
    void aBatteryIsIssuedCold(double hoursSinceCharge, boolean shut) {
        told.worked(19, 100).charged(hoursSinceCharge, 112);
        assertThat(ask(GateKey.COOLED) instanceof Shut).isEqualTo(shut);
    }

    @Test
    void aDryBatteryIsCommissionedFirst() {
        told = Told.nothing().and(new BatteryEvent.Arrived(hoursAgo(9), true));
        expectShut(GateKey.COMMISSIONED, "gate.COMMISSIONED.shut.DRY", "commission-dry");
        told.and(new BatteryEvent.Commissioned(hoursAgo(1)));
        assertThat(ask(GateKey.COMMISSIONED)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void aHeldBatteryWaitsForItsRelease() {
        told.and(new BatteryEvent.Held(hoursAgo(3), "waits for its new cell"));
        expectShut(GateKey.NOT_HELD, "gate.NOT_HELD.shut", null);
        told.and(new BatteryEvent.Released(hoursAgo(1)));
        assertThat(ask(GateKey.NOT_HELD)).isEqualTo(GateOutcome.OPEN);
    }

    @ParameterizedTest
    @CsvSource({"930, 1000, false", "929, 930, false", "931, 1000, true", "800, 929, true"})
    void theBatteryIsTheCounterweight(int from, int to, boolean shut) {
        into = new Target("F3", 12, "", new WeightPlate(from, to), null);
        assertThat(ask(GateKey.RIGHT_WEIGHT) instanceof Shut).isEqualTo(shut);
    }

    @ParameterizedTest
    @CsvSource({
        "830 x 630 x 620, OPEN",
        "826 x 604 x 600, OPEN",
        "831 x 630 x 620, gate.RIGHT_SIZE.shut",
        "830 x 630 x 621, gate.RIGHT_SIZE.shut",
        "803 x 630 x 620, gate.RIGHT_SIZE.loose",
    })
    void aBatteryGoesIntoItsBayAndDoesNotSlideInIt(String size, String outcome) {
        CaseSize bay = CaseSize.parse("830×630×620").orElseThrow();
        into = new Target("F3", 12, "", null, null, bay);
        GateOutcome said = Gates.ask(
                GateKey.RIGHT_SIZE,
                situation()
                        .of(new Subject(
                                "T-1",
                                told.state(),
                                weight,
                                "grey",
                                CaseSize.parse(size).orElseThrow())));
        assertThat(said instanceof Shut shut ? shut.why().key() : "OPEN").isEqualTo(outcome);
        assertThat(ask(GateKey.RIGHT_SIZE)).as("not measured").isEqualTo(GateOutcome.OPEN);
    }

    @ParameterizedTest
    @ValueSource(strings = {"830 x 630", "wide", "830 x 630 x 49", "3001 x 630 x 620", "-5 x 630 x 620"})
    void whatIsNoSizeIsRefused(String text) {
        assertThat(CaseSize.parse(text)).isEmpty();
    }

    @Test
    void whatNobodyHasWeighedGoesIntoNoMachineWithAPlate() {
        weight = 0;
        into = new Target("F3", 12, "", new WeightPlate(900, 1000), null);
        expectShut(GateKey.RIGHT_WEIGHT, "gate.RIGHT_WEIGHT.unknown", null);
        into = new Target("F3", 12, "", null, null);
        assertThat(ask(GateKey.RIGHT_WEIGHT)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void aMachineTakesItsVoltageItsConnectorAndOneBattery() {
        into = new Target("G-02", 48, "", null, null);
        expectShut(GateKey.RIGHT_VOLTAGE, "gate.RIGHT_VOLTAGE.shut", null);
        into = new Target("F3", 12, "red", null, null);
        expectShut(GateKey.RIGHT_VOLTAGE, "gate.RIGHT_VOLTAGE.connector", null);
        into = new Target("F3", 12, "", null, "T-9");
        expectShut(GateKey.MACHINE_FREE, "gate.MACHINE_FREE.shut", null);
        assertThat(GateKey.RIGHT_VOLTAGE.mayBeOverridden()).isFalse();
        assertThat(GateKey.MACHINE_FREE.mayBeOverridden()).isFalse();
    }

    private static Mismatch misfit(Mismatch.Kind kind, Severity severity) {
        return new Mismatch(kind, severity, Message.of("match." + kind));
    }

    @Test
    void beforeAChargerIsChosenSomebodyHasToLook() {
        misfits = null;
        assertThat(ask(GateKey.CHARGER_FITS)).isInstanceOf(Unknown.class);
        assertThat(ask(GateKey.CHARGER_SUITS)).isEqualTo(GateOutcome.OPEN);
    }

    @ParameterizedTest
    @CsvSource({
        "VOLTAGE, STOP, true, false",
        "TOO_MANY_AMPERES, ACT, false, true",
        "TOO_FEW_AMPERES, WATCH, false, false"
    })
    void whatMustNeverBeJoinedIsShutAndWhatSuitsBadlyCanBeAnsweredFor(
            Mismatch.Kind kind, Severity severity, boolean never, boolean badly) {
        misfits = List.of(misfit(kind, severity));
        assertThat(ask(GateKey.CHARGER_FITS) instanceof Shut).isEqualTo(never);
        assertThat(ask(GateKey.CHARGER_SUITS) instanceof Shut).isEqualTo(badly);
        assertThat(GateKey.CHARGER_FITS.mayBeOverridden()).isFalse();
    }

    @Test
    void aLockedOutBatteryIsLedToItsRecovery() {
        misfits = List.of(misfit(Mismatch.Kind.LOCKOUT, Severity.ACT));
        assertThat(ask(GateKey.CHARGER_SUITS)).isInstanceOfSatisfying(Shut.class, shut -> assertThat(shut.opensBy())
                .isEqualTo("recover"));
    }

    @Test
    void whatMustBeDoneIsNoStop() {
        told.read(5, RoundState.FULL_CHARGE, 1285, 1284, 1286, 1285, 1284, 1250);
        assertThat(told.state().findings()).isNotEmpty();
        assertThat(ask(GateKey.NO_STOP_FINDING)).isEqualTo(GateOutcome.OPEN);
    }

    /** What nobody has said of the machine is asked, not taken as right. */
    @Test
    void anUnknownMachineLeavesItsGatesUnknown() {
        into = null;
        assertThat(ask(GateKey.RIGHT_VOLTAGE)).isInstanceOf(Unknown.class);
        assertThat(ask(GateKey.RIGHT_WEIGHT)).isEqualTo(GateOutcome.OPEN);
        assertThat(ask(GateKey.MACHINE_FREE)).isEqualTo(GateOutcome.OPEN);
        into = new Target("F3", null, "", null, null);
        assertThat(ask(GateKey.RIGHT_VOLTAGE)).isInstanceOf(Unknown.class);
        assertThat(ask(GateKey.RIGHT_WEIGHT)).isEqualTo(GateOutcome.OPEN);
        into = new Target("F3", 12, "", null, "T-1");
        assertThat(ask(GateKey.RIGHT_VOLTAGE)).isEqualTo(GateOutcome.OPEN);
        expectShut(GateKey.MACHINE_FREE, "gate.MACHINE_FREE.itself", null);
    }
}
