package org.ostendum.sim;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

/** One charge of a healthy simulated battery on the right charger, as meters at its posts would have seen it. */
public final class SimulatedCharge {
    private static final double STEP_HOURS = 1 / 60.0;

    private final CellBank bank;
    private final Instant start;
    private final Duration every;
    private final List<ChargeSample> samples = new ArrayList<>();
    private double hours;

    private SimulatedCharge(CellBank bank, Instant start, Duration every) {
        this.bank = bank;
        this.start = start;
        this.every = every;
    }

    /**
     * @param taken part of capacity taken out before, 0 to 0.9
     * @param every time between two samples, a minute or more
     * @return from the start to the charger's own end, oldest first
     */
    public static List<ChargeSample> of(BatteryModel model, double taken, Instant start, Duration every, long seed) {
        CellBank bank = new CellBank(model, new Random(seed));
        for (int i = 0; i < bank.cells; i++) {
            bank.missing[i] += taken;
        }
        SimulatedCharge charge = new SimulatedCharge(bank, start, every);
        Stepper stepper = new Stepper(new Chemistry(bank.cells), STEP_HOURS, charge::passed);
        Charger.RIGHT.charge(stepper, bank, taken * bank.capacity);
        return List.copyOf(charge.samples);
    }

    private void passed(CellBank now, double step, double amps) {
        hours += step;
        Instant at = start.plus(Duration.ofSeconds(Math.round(hours * 3600)));
        Instant next =
                samples.isEmpty() ? start : samples.get(samples.size() - 1).at().plus(every);
        if (!at.isBefore(next)) {
            samples.add(sample(at, amps));
        }
    }

    private ChargeSample sample(Instant at, double amps) {
        double volts = IntStream.range(0, bank.cells)
                .mapToDouble(i -> Chemistry.voltsOnCharge(bank, i, amps))
                .sum();
        return new ChargeSample(
                at,
                Volts.of(Math.round(volts * 100) / 100.0),
                new Amperes(Math.round(amps * 10) / 10.0),
                Celsius.of(Math.round(bank.celsius * 10) / 10.0));
    }
}
