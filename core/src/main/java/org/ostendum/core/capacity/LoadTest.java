package org.ostendum.core.capacity;

import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;

/**
 * A load tester's short look: so many amperes for so many seconds, and the volts at the end of them. Good, weak and bad by the
 * volts of a cell: 1.60 and 1.50 at 21 °C and above, less in the cold (rule of thumb of the usual table, 9.6 V for six cells). The
 * battery's own sheet comes first.
 *
 * @param amperes 10 to 2000
 * @param seconds 5 to 30
 * @param volts at the end of it, of the whole battery
 * @param good volts of each cell from which it is good
 * @param weak volts of each cell from which it is weak; below it is bad
 */
public record LoadTest(double amperes, int seconds, double volts, int cells, double good, double weak) {
    private static final double GOOD = 1.60;
    private static final double WEAK = 1.50;
    private static final double WARM = 21;
    /** V for each cell and kelvin below. */
    private static final double PER_KELVIN = 0.0045;

    public LoadTest {
        OutOfRange.check("amperes", amperes, 10, 2000);
        OutOfRange.check("seconds", seconds, 5, 30);
        OutOfRange.check("volts", volts, 0, 3.0 * cells);
        OutOfRange.check("volts of a good cell", good, 1, 2.2);
        OutOfRange.check("volts of a weak cell", weak, 0.5, good);
    }

    /** By the usual table, for batteries whose sheet says nothing. */
    public static LoadTest usual(double amperes, int seconds, double volts, int cells, Celsius celsius) {
        double cold = Math.max(0, WARM - celsius.degrees()) * PER_KELVIN;
        return new LoadTest(amperes, seconds, volts, cells, GOOD - cold, WEAK - cold);
    }

    public enum Shown {
        GOOD,
        WEAK,
        BAD
    }

    public double perCell() {
        return volts / cells;
    }

    public Shown shown() {
        return perCell() >= good ? Shown.GOOD : perCell() >= weak ? Shown.WEAK : Shown.BAD;
    }
}
