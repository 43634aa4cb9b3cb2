package org.ostendum.core.quantity;

/**
 * A voltage.
 *
 * @param millivolts thousandths of a volt, -200 V to 200 V both included (a reversed cell reads below zero)
 */
public record Volts(int millivolts) implements Comparable<Volts> {
    public static final int LEAST = -200;
    public static final int MOST = 200;

    /** @throws OutOfRange outside -200 to 200 V */
    public Volts {
        OutOfRange.check("voltage", millivolts / 1000.0, LEAST, MOST);
    }

    /** @param volts V, rounded to millivolts */
    public static Volts of(double volts) {
        OutOfRange.check("voltage", volts, LEAST, MOST);
        return new Volts((int) Math.round(volts * 1000));
    }

    public double volts() {
        return millivolts / 1000.0;
    }

    @Override
    public int compareTo(Volts other) {
        return Integer.compare(millivolts, other.millivolts);
    }
}
