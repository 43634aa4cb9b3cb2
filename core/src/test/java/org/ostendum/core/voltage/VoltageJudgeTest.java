package org.ostendum.core.voltage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.voltage.VoltageRound.Load;

class VoltageJudgeTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");
    private static final BatteryModel PACK = new BatteryModel(
            "pack",
            CellKind.FLOODED,
            Duty.DEEP_CYCLE,
            LayoutText.parse("1> 2> 3>/6< 5< 4<", 4),
            AmpHours.of(170),
            20,
            GravityMarks.usualFor(Duty.DEEP_CYCLE));

    private static Instant hoursAgo(int hours) {
        return NOW.minus(Duration.ofHours(hours));
    }

    /** What went before: when a charge ended, and when water was poured that is not mixed in. */
    private record Before(Instant charged, Instant unmixed) {}

    private static List<Finding> judge(Load load, Before before, Integer points, double... volts) {
        Map<Integer, Volts> byPlace = new HashMap<>();
        for (int i = 0; i < volts.length; i++) {
            byPlace.put(i + 1, Volts.of(volts[i]));
        }
        return VoltageJudge.judge(new VoltageCase(
                PACK,
                Rules.standard(),
                new VoltageRound(NOW, load, byPlace),
                before.charged(),
                before.unmixed(),
                points == null ? null : CorrectedGravity.ofPoints(points)));
    }

    private static final Before RESTED = new Before(hoursAgo(10), null);

    /** An 8 V block has four cells: 30 mV a cell at rest is 0.12 V, 60 mV a cell under load 0.24 V. */
    @ParameterizedTest
    @CsvSource({
        "REST, 8.37, false",
        "REST, 8.36, true",
        "LOAD, 8.25, false",
        "LOAD, 8.24, true",
    })
    void aBlockFarBelowItsBrothersIsSuspect(Load load, double volts, boolean found) {
        List<Finding> findings = judge(load, RESTED, null, 8.48, 8.48, volts, 8.48, 8.48, 8.48);
        assertThat(findings).hasSize(found ? 1 : 0);
        if (found) {
            assertThat(findings.get(0).code()).isEqualTo(FindingCode.BLOCK_LOW);
            assertThat(findings.get(0).severity()).isEqualTo(Severity.ACT);
            assertThat(findings.get(0).evidence()).isEqualTo(new Evidence.AtPlace(3, Volts.of(volts)));
        }
    }

    @Test
    void allAlikeIsNoFaultWhateverTheLevel() {
        assertThat(judge(Load.REST, RESTED, null, 7.9, 7.9, 7.9, 7.9, 7.9, 7.9)).isEmpty();
    }

    @Test
    void aReversedBlockStopsTheBattery() {
        List<Finding> findings = judge(Load.LOAD, RESTED, null, 8.4, -1.2, 8.4, 8.4, 8.4, 8.4);
        assertThat(findings).extracting(Finding::code).containsExactly(FindingCode.BLOCK_REVERSED);
        assertThat(findings.get(0).severity()).isEqualTo(Severity.STOP);
    }

    @Test
    void aFewBlocksAloneAreNotCompared() {
        assertThat(judge(Load.REST, RESTED, null, 8.48, 7.0)).isEmpty();
        assertThat(judge(Load.REST, RESTED, null)).isEmpty();
    }

    /** 1.270 rests at 2.115 V a cell, 8.46 V a block. */
    @ParameterizedTest
    @CsvSource({"8.46, false", "8.53, false", "8.54, true", "8.39, false", "8.38, true"})
    void restVoltageAndGravityAreHeldAgainstEachOther(double volts, boolean apart) {
        List<Finding> findings = judge(Load.REST, RESTED, 1270, volts, volts, volts, volts, volts, volts);
        assertThat(findings)
                .extracting(Finding::code)
                .isEqualTo(apart ? List.of(FindingCode.VOLTAGE_DISAGREES) : List.of());
    }

    @Test
    void theDisagreementHasItsReason() {
        Before justCharged = new Before(hoursAgo(2), null);
        Before watered = new Before(hoursAgo(9), hoursAgo(8));
        assertThat(why(justCharged, 8.8)).isEqualTo("finding.volts.disagree.not-rested");
        assertThat(why(watered, 8.8)).isEqualTo("finding.volts.disagree.watered");
        assertThat(why(RESTED, 8.8)).isEqualTo("finding.volts.disagree.stratified");
        assertThat(why(RESTED, 8.2)).isEqualTo("finding.volts.disagree.sulfated");
    }

    private static String why(Before before, double volts) {
        return judge(Load.REST, before, 1270, volts, volts, volts, volts, volts, volts)
                .get(0)
                .why()
                .key();
    }

    @Test
    void underLoadNothingIsSaidOfTheGravity() {
        assertThat(judge(Load.LOAD, RESTED, 1270, 8, 8, 8, 8, 8, 8)).isEmpty();
    }

    /** 2.11 V is 1.265; the scale runs from 1.140 to the middle of the full window, 1.2725. */
    @Test
    void theChargeOfASealedBatteryComesFromItsVoltage() {
        VoltageCase full = new VoltageCase(
                PACK,
                Rules.standard(),
                new VoltageRound(NOW, Load.REST, Map.of(1, Volts.of(8.44), 2, Volts.of(8.44))),
                RESTED.charged(),
                null,
                null);
        assertThat(VoltageJudge.charge(full).percent()).isEqualTo(94);
    }
}
