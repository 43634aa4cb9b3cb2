package org.ostendum.core.device;

import java.util.Optional;
import org.ostendum.core.quantity.Celsius;

/**
 * What the sensor under the ceiling and the fan's contact say.
 *
 * @param beat seconds of its own clock, as a charger's
 * @param hydrogen in the air, millionths of the volume, 0 to 40 000 (its lower explosive limit)
 */
public record AirStatus(int beat, int hydrogen, boolean isFanOn, Celsius celsius) {
    public static final int LENGTH = 5;

    private static final int MARK = 0x0573;
    private static final int MOST = 40_000;

    /** @return part of the air, 0 to 0.04 */
    public double fraction() {
        return hydrogen / 1_000_000.0;
    }

    public int[] registers() {
        return RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(beat)
                .put(Math.min(MOST, hydrogen))
                .put(isFanOn, RegisterWords.CONTACT)
                .put(celsius.tenths())
                .written();
    }

    public static Optional<AirStatus> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        int beat = words.word();
        int hydrogen = words.word();
        boolean fan = words.oneOf(RegisterWords.CONTACT);
        double celsius = words.signed() / 10.0;
        words.expect(hydrogen <= MOST && celsius >= -40 && celsius <= 70);
        return words.isSound()
                ? Optional.of(new AirStatus(beat, hydrogen, fan, Celsius.of(celsius)))
                : Optional.empty();
    }
}
