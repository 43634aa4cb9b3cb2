package org.ostendum.core.device;

import java.util.Optional;

/**
 * What the flow meter of a water cart says.
 *
 * @param beat seconds of its own clock, as a charger's
 * @param millilitres poured since it was built
 * @param perMinute ml that flow now
 * @param left ml in its tank
 */
public record CartStatus(int beat, long millilitres, int perMinute, long left) {
    public static final int LENGTH = 7;

    private static final int MARK = 0x0574;
    private static final long MOST_LEFT = 1_000_000;

    public int[] registers() {
        return RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(beat)
                .putLong(millilitres)
                .put(perMinute)
                .putLong(left)
                .written();
    }

    public static Optional<CartStatus> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        CartStatus status = new CartStatus(words.word(), words.doubleWord(), words.word(), words.doubleWord());
        words.expect(status.left <= MOST_LEFT);
        return words.isSound() ? Optional.of(status) : Optional.empty();
    }
}
