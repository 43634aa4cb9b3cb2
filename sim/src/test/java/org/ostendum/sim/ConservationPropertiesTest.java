package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.quantity.AmpHours;

/** Whatever currents flow through a simulated battery: acid, charge and water add up. */
class ConservationPropertiesTest {
    private static final BatteryModel TRAY = new BatteryModel(
            "tray",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(2, 3),
            AmpHours.of(500),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private static void flow(CellBank bank, List<Double> rates, double step) {
        Stepper stepper = new Stepper(new Chemistry(bank.cells), step, Stepper.NOBODY);
        for (double rate : rates) {
            stepper.run(bank, b -> rate * b.capacity, 1, Stepper.NEVER);
        }
    }

    @Property(tries = 200)
    void acidIsNeitherMadeNorLost(
            @ForAll @Size(min = 1, max = 20) List<@DoubleRange(min = -0.12, max = 0.2) Double> rates) {
        CellBank bank = new CellBank(TRAY, new Random(5));
        double before = bank.allAcid();
        flow(bank, rates, 0.05);
        assertThat(bank.allAcid()).isCloseTo(before, within(1e-6));
    }

    @Property(tries = 200)
    void everyAmpereHourIsInThePlatesOrInGasAndGasTakesItsWater(
            @ForAll @Size(min = 1, max = 20) List<@DoubleRange(min = -0.04, max = 0.2) Double> rates) {
        CellBank bank = new CellBank(TRAY, new Random(5));
        Arrays.fill(bank.leak, 0);
        double missing = bank.missing[2];
        double water = bank.water[2];
        flow(bank, rates, 0.05);
        double flowed = rates.stream().mapToDouble(Double::doubleValue).sum();
        double gas = (water - bank.water[2]) / 0.336;
        assertThat(missing - bank.missing[2] + gas).isCloseTo(flowed, within(1e-9));
        assertThat(gas).isGreaterThanOrEqualTo(-1e-12);
    }

    /** Shorter steps come to the same: what is found does not hang on the step. */
    @Property(tries = 60)
    void halfTheStepComesToTheSame(
            @ForAll @Size(min = 4, max = 12) List<@DoubleRange(min = -0.1, max = 0.15) Double> rates) {
        CellBank coarse = new CellBank(TRAY, new Random(5));
        CellBank fine = new CellBank(TRAY, new Random(5));
        flow(coarse, rates, 1 / 60.0);
        flow(fine, rates, 1 / 120.0);
        for (int i = 0; i < coarse.cells; i++) {
            assertThat(coarse.mixedGravity(i).tenths())
                    .isCloseTo(fine.mixedGravity(i).tenths(), within(10));
        }
    }
}
