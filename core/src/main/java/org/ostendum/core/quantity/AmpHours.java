package org.ostendum.core.quantity;

/**
 * An amount of charge or a capacity.
 *
 * @param tenths tenths of an ampere-hour, 0 to 10 000 Ah both included
 */
public record AmpHours(int tenths) implements Comparable<AmpHours> {
    public static final int MOST = 10_000;

    /** @throws OutOfRange outside 0 to 10 000 Ah */
    public AmpHours {
        OutOfRange.check("capacity", tenths / 10.0, 0, MOST);
    }

    /** @param ampHours Ah, rounded to tenths */
    public static AmpHours of(double ampHours) {
        OutOfRange.check("capacity", ampHours, 0, MOST);
        return new AmpHours((int) Math.round(ampHours * 10));
    }

    public double ampHours() {
        return tenths / 10.0;
    }

    @Override
    public int compareTo(AmpHours other) {
        return Integer.compare(tenths, other.tenths);
    }
}
