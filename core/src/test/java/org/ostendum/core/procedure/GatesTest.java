package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.charge.ChargeState;
import org.ostendum.core.charger.Misfit;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.procedure.GateOutcome.Shut;
import org.ostendum.core.procedure.GateOutcome.Unknown;
import org.ostendum.core.procedure.Situation.BatteryFacts;
import org.ostendum.core.procedure.Situation.WeightPlate;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;

class GatesTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");
    private static final Trained TRAINED = new Trained(Map.of(Training.BATTERY_CARE, LocalDate.of(2026, 1, 1)));
    /** Worked, then fully charged overnight, watered before that and long cool. */
    private static final Happenings FULL =
            new Happenings(hoursAgo(100), hoursAgo(30), hoursAgo(20), null, hoursAgo(32), 3);

    private static Instant hoursAgo(double hours) {
        return NOW.minus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    /** A battery in order, with one thing changed by each test. */
    private Happenings happenings = FULL;

    private List<Finding> findings = List.of();
    private Set<DefectKind> defects = Set.of();
    private @Nullable Celsius temperature;
    private @Nullable Instant temperatureAt;
    private @Nullable CorrectedGravity gravity;
    private @Nullable WeightPlate plate;
    private boolean hasCaps = true;
    private List<StationState> stations = List.of(
            new StationState(StationCheck.EYEWASH_FLUSH, hoursAgo(24), true, Kit.NONE),
            new StationState(StationCheck.VENTILATION, hoursAgo(24), true, Kit.NONE));
    private Trained trained = TRAINED;

    private @Nullable List<Misfit> misfits = List.of();

    private Situation situation() {
        Rules rules = Rules.standard();
        return new Situation(
                NOW,
                ZoneOffset.UTC,
                rules,
                Training.BATTERY_CARE,
                trained,
                stations,
                new BatteryFacts(
                        "T-1",
                        hasCaps,
                        happenings,
                        ChargeState.of(happenings, NOW, rules),
                        findings,
                        temperature,
                        temperatureAt,
                        gravity,
                        defects,
                        930,
                        plate),
                misfits);
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
                        new Situation(NOW, room.zone(), room.rules(), room.needed(), trained, stations, null, null)))
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
        stations = List.of(new StationState(check, hours < 0 ? null : hoursAgo(hours), sound, Kit.NONE));
        expectShut(GateKey.STATION_READY, why, "station-check");
    }

    @Test
    void anOverdueSignKeepsNobodyFromTheCells() {
        stations = List.of(new StationState(StationCheck.SIGNS, hoursAgo(9000), true, Kit.NONE));
        assertThat(ask(GateKey.STATION_READY)).isEqualTo(GateOutcome.OPEN);
    }

    @Test
    void aFanThatStandsStillStopsChargers() {
        stations = List.of(new StationState(StationCheck.VENTILATION, hoursAgo(1), false, Kit.NONE));
        expectShut(GateKey.FAN_ON, "gate.FAN_ON.off", "station-check");
    }

    @Test
    void aDamagedBatteryIsASpillInWaiting() {
        defects = Set.of(DefectKind.DAMAGED_CASE);
        expectShut(GateKey.UNDAMAGED, "gate.UNDAMAGED.shut", "spill");
    }

    @Test
    void sealedCellsHaveNothingToOpen() {
        hasCaps = false;
        expectShut(GateKey.HAS_CAPS, "gate.HAS_CAPS.shut", null);
        assertThat(GateKey.HAS_CAPS.mayBeOverridden()).isFalse();
    }

    /** Level rises while charging: water only after the charge that followed the last work. */
    @ParameterizedTest
    @CsvSource({
        "20, 32, open",
        "32, 20, gate.FULL_BEFORE_WATER.shut",
        ", 20, gate.FULL_BEFORE_WATER.shut",
        "20, , open",
    })
    void waterOnlyAfterAFullCharge(@Nullable Integer charged, @Nullable Integer worked, String expected) {
        happenings = new Happenings(
                null,
                null,
                charged == null ? null : hoursAgo(charged),
                null,
                worked == null ? null : hoursAgo(worked),
                0);
        if (expected.equals("open")) {
            assertThat(ask(GateKey.FULL_BEFORE_WATER)).isEqualTo(GateOutcome.OPEN);
        } else {
            expectShut(GateKey.FULL_BEFORE_WATER, expected, "charge");
        }
    }

    @Test
    void wherePlatesShowThatJobIsOffered() {
        happenings = new Happenings(null, null, null, null, hoursAgo(2), 0);
        findings = List.of(finding(Severity.STOP, NextStep.COVER_PLATES));
        expectShut(GateKey.FULL_BEFORE_WATER, "gate.FULL_BEFORE_WATER.shut", "cover-plates");
        expectShut(GateKey.PLATES_COVERED, "gate.PLATES_COVERED.shut", "cover-plates");
        expectShut(GateKey.NO_STOP_FINDING, "sentence", null);
    }

    @Test
    void ofABatteryWithoutHistoryNothingIsKnown() {
        happenings = Happenings.NOTHING;
        assertThat(ask(GateKey.FULL_BEFORE_WATER)).isInstanceOf(GateOutcome.Unknown.class);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "1, false"})
    void noRoundBetweenWaterAndTheNextCharge(int charges, boolean shut) {
        happenings = new Happenings(hoursAgo(19), null, hoursAgo(20), null, hoursAgo(32), charges);
        assertThat(ask(GateKey.MIXED_BEFORE_ROUND) instanceof Shut).isEqualTo(shut);
    }

    @Test
    void nothingIsOpenedOnTheCharger() {
        happenings = new Happenings(null, hoursAgo(1), hoursAgo(20), null, hoursAgo(2), 0);
        expectShut(GateKey.NOT_CHARGING, "gate.NOT_CHARGING.shut", null);
    }

    @ParameterizedTest
    @CsvSource({"39.9, 1, false", "40, 1, true", "45, 1, true", "45, 4, true", "45, 4.1, false"})
    void aHotBatteryIsNotCharged(double celsius, double hours, boolean shut) {
        temperature = Celsius.of(celsius);
        temperatureAt = hoursAgo(hours);
        assertThat(ask(GateKey.NOT_HOT) instanceof Shut).isEqualTo(shut);
    }

    /** Electrolyte of 1.150 freezes at −15 °C (Vinal). */
    @ParameterizedTest
    @CsvSource({"1150, -15, true", "1150, -14, false", "1280, -40, false", "1125, -12, true", "1310, -60, false"})
    void nothingFrozenIsCharged(int points, double celsius, boolean shut) {
        temperature = Celsius.of(celsius);
        temperatureAt = hoursAgo(1);
        gravity = CorrectedGravity.ofPoints(points);
        assertThat(ask(GateKey.NOT_FROZEN) instanceof Shut).isEqualTo(shut);
        assertThat(GateKey.NOT_FROZEN.mayBeOverridden()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"7.9, true", "8, false"})
    void aBatteryIsIssuedCold(double hoursSinceCharge, boolean shut) {
        happenings = new Happenings(null, null, hoursAgo(hoursSinceCharge), null, hoursAgo(32), 1);
        assertThat(ask(GateKey.COOLED) instanceof Shut).isEqualTo(shut);
    }

    @ParameterizedTest
    @CsvSource({"930, 1000, false", "929, 930, false", "931, 1000, true", "800, 929, true"})
    void theBatteryIsTheCounterweight(int from, int to, boolean shut) {
        plate = new WeightPlate("F3", from, to);
        assertThat(ask(GateKey.RIGHT_WEIGHT) instanceof Shut).isEqualTo(shut);
    }

    private static Misfit misfit(Misfit.Kind kind, Severity severity) {
        return new Misfit(kind, severity, Message.of("match." + kind));
    }

    @Test
    void beforeAChargerIsChosenSomebodyHasToLook() {
        misfits = null;
        assertThat(ask(GateKey.CHARGER_FITS)).isInstanceOf(Unknown.class);
        assertThat(ask(GateKey.CHARGER_SUITS)).isInstanceOf(Unknown.class);
    }

    @ParameterizedTest
    @CsvSource({
        "VOLTAGE, STOP, true, false",
        "TOO_MANY_AMPERES, ACT, false, true",
        "TOO_FEW_AMPERES, WATCH, false, false"
    })
    void whatMustNeverBeJoinedIsShutAndWhatSuitsBadlyCanBeAnsweredFor(
            Misfit.Kind kind, Severity severity, boolean never, boolean badly) {
        misfits = List.of(misfit(kind, severity));
        assertThat(ask(GateKey.CHARGER_FITS) instanceof Shut).isEqualTo(never);
        assertThat(ask(GateKey.CHARGER_SUITS) instanceof Shut).isEqualTo(badly);
        assertThat(GateKey.CHARGER_FITS.mayBeOverridden()).isFalse();
    }

    @Test
    void aLockedOutBatteryIsLedToItsRecovery() {
        misfits = List.of(misfit(Misfit.Kind.LOCKOUT, Severity.ACT));
        assertThat(ask(GateKey.CHARGER_SUITS)).isInstanceOfSatisfying(Shut.class, shut -> assertThat(shut.opensBy())
                .isEqualTo("recover"));
    }

    @Test
    void whatMustBeDoneIsNoStop() {
        findings = List.of(finding(Severity.ACT, NextStep.EQUALISE));
        assertThat(ask(GateKey.NO_STOP_FINDING)).isEqualTo(GateOutcome.OPEN);
    }

    private static Finding finding(Severity severity, NextStep next) {
        return new Finding(
                FindingCode.CELL_DRY,
                new Cells(List.of(4)),
                severity,
                Message.of("sentence"),
                Message.of("why"),
                List.of(),
                List.of(),
                next,
                null,
                1);
    }
}
