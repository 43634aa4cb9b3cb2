package org.ostendum.core.judge;

import java.util.Arrays;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.statistics.Robust;

/** Cell voltages on charge of one round. */
final class RoundVolts {
    /** Fewer cells make no median to compare with. */
    private static final int LEAST_CELLS = 3;
    /** mV a cell and kelvin. Source: IEEE 450. */
    private static final double PER_KELVIN = -4;

    private static final double REFERENCE = 25;
    private static final RoundVolts NONE = new RoundVolts(new int[0], new double[0], Double.NaN);

    private final int[] cells;
    private final double[] above;
    private final double medianAtReference;

    private RoundVolts(int[] cells, double[] above, double medianAtReference) {
        this.cells = cells;
        this.above = above;
        this.medianAtReference = medianAtReference;
    }

    static RoundVolts of(Round round) {
        CellReading[] read =
                round.readings().stream().filter(RoundVolts::isOnCharge).toArray(CellReading[]::new);
        if (read.length < LEAST_CELLS) {
            return NONE;
        }
        int[] cells = new int[read.length];
        double[] millivolts = new double[read.length];
        for (int i = 0; i < read.length; i++) {
            cells[i] = read[i].cell();
            millivolts[i] = millivolts(read[i]);
        }
        double median = Robust.median(millivolts);
        for (int i = 0; i < read.length; i++) {
            millivolts[i] -= median;
        }
        return new RoundVolts(cells, millivolts, median - PER_KELVIN * (degrees(round) - REFERENCE));
    }

    private static boolean isOnCharge(CellReading reading) {
        return reading.volts() != null && reading.onCharge();
    }

    private static double millivolts(CellReading reading) {
        @Nullable Volts volts = reading.volts();
        return Objects.requireNonNull(volts).volts() * 1000;
    }

    private static double degrees(Round round) {
        double[] degrees = round.readings().stream()
                .map(round::temperatureOf)
                .filter(Objects::nonNull)
                .mapToDouble(Celsius::degrees)
                .toArray();
        return degrees.length == 0 ? Double.NaN : Robust.median(degrees);
    }

    int count() {
        return cells.length;
    }

    /** @return the highest number of a cell read; 0 for none */
    int highestNumber() {
        return Arrays.stream(cells).max().orElse(0);
    }

    int cell(int index) {
        return cells[index];
    }

    /** @return mV above the median of its battery */
    double above(int index) {
        return above[index];
    }

    /** @return mV a cell of the battery, at 25 °C; not a number where no temperature, or too few cells, were read */
    double medianAtReference() {
        return medianAtReference;
    }
}
