package org.ostendum.core.quantity;

/**
 * A temperature.
 *
 * @param tenths tenths of a degree Celsius: 245 stands for 24.5 °C; -70.0 to 120.0 °C, both included (electrolyte of
 *     1.300 freezes near -70 °C; sulfuric acid in a battery boils above 105 °C)
 */
public record Celsius(int tenths) implements Comparable<Celsius> {
    public static final int LEAST = -70;
    public static final int MOST = 120;

    /** @throws OutOfRange outside -70 to 120 °C */
    public Celsius {
        OutOfRange.check("temperature", tenths / 10.0, LEAST, MOST);
    }

    /** @param degrees °C, rounded to tenths */
    public static Celsius of(double degrees) {
        OutOfRange.check("temperature", degrees, LEAST, MOST);
        return new Celsius((int) Math.round(degrees * 10));
    }

    /** @param degrees °F, rounded to tenths of a degree Celsius */
    public static Celsius ofFahrenheit(double degrees) {
        return of((degrees - 32) / 1.8);
    }

    public double degrees() {
        return tenths / 10.0;
    }

    public double fahrenheit() {
        return degrees() * 1.8 + 32;
    }

    @Override
    public int compareTo(Celsius other) {
        return Integer.compare(tenths, other.tenths);
    }
}
