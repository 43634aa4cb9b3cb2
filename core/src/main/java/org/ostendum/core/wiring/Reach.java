package org.ostendum.core.wiring;

import org.ostendum.core.quantity.Volts;

/**
 * The highest voltage that a tool or two hands can bridge at a moment.
 *
 * @param high and {@code low} posts between which it lies; the same where nothing is live
 * @param amperes that a tool across them would draw, as an order of size
 */
public record Reach(Volts voltage, Post high, Post low, int amperes) {
    public boolean canBeFelt() {
        return voltage.millivolts() > ElectricalMap.TOUCH_LIMIT.millivolts();
    }
}
