package org.ostendum.core.device;

import java.util.Optional;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

/**
 * What the monitor tag on a battery says.
 *
 * @param beat seconds of its own clock, as a charger's
 * @param number of the tag; it stays with the battery
 * @param amperes into the battery, negative out of it
 * @param isLevelLow whether the sensor of its one cell hangs dry
 */
public record TagStatus(int beat, long number, Volts volts, double amperes, Celsius celsius, boolean isLevelLow) {
    public static final int LENGTH = 8;

    private static final int MARK = 0x0572;
    private static final double MOST_VOLTS = 200;

    public int[] registers() {
        return RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(beat)
                .putLong(number)
                .put(Math.round(volts.volts() * 100))
                .put(Math.round(amperes * 10))
                .put(celsius.tenths())
                .put(isLevelLow, RegisterWords.CONTACT)
                .written();
    }

    public static Optional<TagStatus> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        int beat = words.word();
        long number = words.doubleWord();
        double volts = words.word() / 100.0;
        double amperes = words.signed() / 10.0;
        double celsius = words.signed() / 10.0;
        boolean low = words.oneOf(RegisterWords.CONTACT);
        words.expect(volts <= MOST_VOLTS && Math.abs(amperes) <= 3000);
        words.expect(celsius >= -40 && celsius <= 100);
        return words.isSound()
                ? Optional.of(new TagStatus(beat, number, Volts.of(volts), amperes, Celsius.of(celsius), low))
                : Optional.empty();
    }
}
