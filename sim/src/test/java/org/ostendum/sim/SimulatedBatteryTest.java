package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.statistics.Robust;
import org.ostendum.core.voltage.VoltageCase;
import org.ostendum.core.voltage.VoltageJudge;
import org.ostendum.core.voltage.VoltageRound;

class SimulatedBatteryTest {
    private static final Instant START = Instant.parse("2024-01-01T06:00:00Z");
    private static final Site CAREFUL = new Site(5, 0.6, 14, 10, 28, true, true, true, 0, 21);
    private static final double TEN_MINUTES = 1 / 6.0;
    private static final BatteryModel TRAY = new BatteryModel(
            "tray",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
            AmpHours.of(600),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private static Life live(int days, Fault... faults) {
        return SimulatedBattery.live(TRAY, CAREFUL, List.of(faults), START, days, TEN_MINUTES, 7);
    }

    private static Life.Truth last(Life life) {
        return life.truths().get(life.truths().size() - 1);
    }

    private static double points(Life.Truth truth, int cell) {
        return truth.mixed().get(cell - 1).tenths() / 10.0;
    }

    private static double median(Life.Truth truth) {
        return Robust.median(truth.mixed().stream()
                .mapToDouble(CorrectedGravity::tenths)
                .map(t -> t / 10)
                .toArray());
    }

    @Test
    void theSameSeedGivesTheSameLife() {
        assertThat(live(60).rounds()).isEqualTo(live(60).rounds());
        assertThat(live(60).events().all()).isEqualTo(live(60).events().all());
    }

    @Test
    void aHealthyBatteryComesFullAndEvenAfterEveryCharge() {
        Life life = live(365);
        for (Life.Truth truth : life.truths()) {
            assertThat(median(truth)).isBetween(1275.0, 1300.0);
            assertThat(truth.mixed().stream().mapToInt(CorrectedGravity::tenths).summaryStatistics())
                    .satisfies(s -> assertThat(s.getMax() - s.getMin()).isLessThan(120));
        }
        double in = life.events().returned(START, Instant.MAX);
        double out = life.events().taken(START, Instant.MAX);
        assertThat(in / out).isBetween(1.07, 1.16);
    }

    /** 80 % out takes the sheet's full gravity to its empty one: the electrolyte is reckoned so, and the balance keeps it. */
    @Test
    void fullAndEmptyGravitiesAreTheSheets() {
        CellBank bank = new CellBank(TRAY, new Random(1));
        double before = bank.mixedGravity(0).tenths() / 10.0;
        new Stepper(new Chemistry(bank.cells), 0.1, Stepper.NOBODY)
                .run(bank, b -> -b.capacity * 0.8 / 6, 6, Stepper.NEVER);
        assertThat(before - bank.mixedGravity(0).tenths() / 10.0).isCloseTo(1285 - 1140, within(8.0));
    }

    @Test
    void acidIsNeitherMadeNorLost() {
        CellBank bank = new CellBank(TRAY, new Random(3));
        double before = bank.allAcid();
        Stepper stepper = new Stepper(new Chemistry(bank.cells), 0.05, Stepper.NOBODY);
        stepper.run(bank, b -> -60, 6, Stepper.NEVER);
        Charger.RIGHT.charge(stepper, bank, 360);
        assertThat(bank.allAcid()).isCloseTo(before, within(1e-6));
    }

    /** Each Ah that goes in is either in the plates or in gas, and gas takes its water: 0.336 g. */
    @Test
    void chargeIsInThePlatesOrInGas() {
        CellBank bank = new CellBank(TRAY, new Random(3));
        Stepper stepper = new Stepper(new Chemistry(bank.cells), 0.05, Stepper.NOBODY);
        Arrays.fill(bank.leak, 0);
        stepper.run(bank, b -> -60, 6, Stepper.NEVER);
        double missing = bank.missing[0];
        double water = bank.water[0];
        Stepper.Run run = Charger.RIGHT.charge(stepper, bank, 360);
        double taken = missing - bank.missing[0];
        double gas = (water - bank.water[0]) / 0.336;
        assertThat(taken + gas).isCloseTo(run.ampHours() / bank.capacity, within(1e-9));
    }

    @Test
    void theStepThatCrossesAnEventIsCutThere() {
        CellBank bank = new CellBank(TRAY, new Random(3));
        Stepper stepper = new Stepper(new Chemistry(bank.cells), 1, Stepper.NOBODY);
        Stepper.Run run = stepper.run(bank, b -> -100, 10, (b, out) -> -out - 250);
        assertThat(run.hours()).isCloseTo(2.5, within(1e-9));
        assertThat(run.ampHours()).isCloseTo(-250, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {1 / 60.0, 1 / 6.0, 0.25})
    void theLengthOfTheStepHardlyMatters(double step) {
        Life fine = SimulatedBattery.live(TRAY, CAREFUL, List.of(), START, 90, 1 / 60.0, 7);
        Life life = SimulatedBattery.live(TRAY, CAREFUL, List.of(), START, 90, step, 7);
        assertThat(median(last(life))).isCloseTo(median(last(fine)), within(1.5));
    }

    @Test
    void aShortFallsBehindAndStaysLowOnCharge() {
        Life life = live(300, new Fault.SoftShort(5, 60, 0.0004));
        Life.Truth truth = last(life);
        assertThat(median(truth) - points(truth, 5)).isGreaterThan(20);
        assertThat(voltsAbove(life, 5)).isLessThan(-0.08);
    }

    @Test
    void aSulfatedCellFallsBehindAndStandsHighOnCharge() {
        Life life = live(300, new Fault.SulfatedCell(5, 60, 0.0012));
        Life.Truth truth = last(life);
        assertThat(median(truth) - points(truth, 5)).isBetween(20.0, 60.0);
        assertThat(voltsAbove(life, 5)).isGreaterThan(0.08);
    }

    private static double voltsAbove(Life life, int cell) {
        List<CellReading> readings = life.rounds().get(life.rounds().size() - 1).readings();
        double[] volts = readings.stream().mapToDouble(r -> r.volts().volts()).toArray();
        return volts[cell - 1] - Robust.median(volts);
    }

    @Test
    void spiltAcidIsGoneForGood() {
        Life life = live(300, new Fault.Spilt(5, 60, 0.12));
        Life.Truth first = life.truths().get(0);
        double before = median(first) - points(first, 5);
        // What is left is as strong as before; it is the water poured to the mark afterwards that thins it.
        List<Double> fallen = life.truths().stream()
                .filter(t -> t.day() > 60 + 13)
                .map(t -> median(t) - points(t, 5) - before)
                .toList();
        assertThat(fallen).isNotEmpty().allSatisfy(f -> assertThat(f).isBetween(20.0, 40.0));
    }

    @Test
    void aChargerThatStopsEarlyLeavesAllCellsLowAndLayered() {
        Life.Truth truth = last(live(200, new Fault.EarlyStop(60, 0.1)));
        assertThat(median(truth)).isLessThan(1275);
        assertThat(truth.layered()).isGreaterThan(8);
    }

    @Test
    void theWrongChargerBoilsWaterAway() {
        Instant end = Instant.MAX;
        double usual = live(200).events().poured(START, end);
        double wrong = live(200, new Fault.WrongCharger(0, 2.2)).events().poured(START, end);
        assertThat(wrong / usual).isBetween(1.6, 3.0);
    }

    @Test
    void wornPlatesEndTheShiftEarly() {
        Life life = live(500, new Fault.WearOut(60, 0.0015));
        double deepest = life.events().between(Worked.class, START.plusSeconds(440L * 86_400), Instant.MAX).stream()
                .mapToDouble(e -> e.taken().ampHours())
                .max()
                .orElse(0);
        assertThat(deepest).isLessThan(0.9 * 0.6 * 600 * 1.1);
    }

    @Test
    void aTapDrainsItsCellsAlone() {
        List<Life.Truth> drained = live(200, new Fault.Tap(1, 3, 60, 0.04)).truths().stream()
                .filter(t -> t.day() > 100)
                .toList();
        assertThat(drained).anySatisfy(t -> assertThat(median(t) - points(t, 2)).isGreaterThan(6));
        assertThat(drained)
                .allSatisfy(t -> assertThat(Math.abs(median(t) - points(t, 12))).isLessThan(6));
    }

    @Test
    void cellsTurnedRoundShowItInTheirVoltage() {
        Life life = live(30, new Fault.ReversedBlock(1, 3, 0));
        assertThat(life.rounds()
                        .get(life.rounds().size() - 1)
                        .readings()
                        .get(0)
                        .volts()
                        .volts())
                .isNegative();
    }

    private static List<String> heldByVoltage(Life life, VoltageRound.Load load) {
        VoltageRound round = life.voltages().stream()
                .filter(v -> v.load() == load)
                .reduce((a, b) -> b)
                .orElseThrow();
        VoltageCase asked = new VoltageCase(TRAY, Rules.standard(), round, null, null, null);
        return VoltageJudge.judge(asked).stream()
                .map(f -> f.code().code() + " " + ((Evidence.AtPlace) f.evidence()).place())
                .toList();
    }

    @Test
    void whatAVoltmeterFindsIsFoundInASimulatedBatteryToo() {
        assertThat(heldByVoltage(live(60), VoltageRound.Load.REST)).isEmpty();
        assertThat(heldByVoltage(live(60), VoltageRound.Load.LOAD)).isEmpty();
        assertThat(heldByVoltage(live(60, new Fault.ReversedBlock(4, 4, 0)), VoltageRound.Load.REST))
                .containsExactly(FindingCode.BLOCK_REVERSED.code() + " 4");
    }

    /** 2 mΩ at 120 A are 0.24 V: seen while current flows, and at rest not at all. */
    @Test
    void aBadJointShowsUnderLoadAlone() {
        Life life = live(60, new Fault.BadJoint(7, 10, 2));
        assertThat(heldByVoltage(life, VoltageRound.Load.REST)).isEmpty();
        assertThat(heldByVoltage(life, VoltageRound.Load.LOAD)).containsExactly(FindingCode.BLOCK_LOW.code() + " 7");
    }
}
