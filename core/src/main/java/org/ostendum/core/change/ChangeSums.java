package org.ostendum.core.change;

import java.time.Duration;
import org.ostendum.core.quantity.OutOfRange;

/** Sums about changing batteries. */
public final class ChangeSums {
    private static final double STRAIGHT_DEGREES = 5;
    /** Part of its length by which a chain may be askew and the sum still means something. */
    static final double STEEPEST = 0.9;

    private ChangeSums() {}

    /**
     * Batteries for each truck that works round the clock: ⌈(work + charge + cool) ÷ work⌉.
     *
     * @param work how long one battery lasts, half an hour to a day
     */
    public static int pool(Duration work, Duration charge, Duration cool) {
        OutOfRange.check("hours of work", work.toMinutes() / 60.0, 0.5, 24);
        OutOfRange.check("hours of charge", charge.toMinutes() / 60.0, 0, 72);
        OutOfRange.check("hours of cooling", cool.toMinutes() / 60.0, 0, 72);
        long whole = work.plus(charge).plus(cool).toMinutes();
        return (int) Math.ceil((double) whole / work.toMinutes());
    }

    /**
     * The notches of a lifting beam in which the hooks hang straight over the battery's eyes.
     *
     * @param left and {@code right} numbers counted from the beam's middle, 1 the innermost
     * @param offMillimetres by which each chain still hangs askew
     */
    public record Notches(int left, int right, int offMillimetres) {}

    /**
     * How a chain hangs whose hook is not over its eye.
     *
     * @param degrees from the vertical
     * @param addedPull part by which the chain carries more than half the load: 1 ÷ cos − 1
     */
    public record Hang(double degrees, double addedPull) {
        /** Chains that stand off more bend the case's walls and may slip. Rule of thumb. */
        public boolean isStraight() {
            return degrees <= STRAIGHT_DEGREES;
        }
    }

    /**
     * @param offMillimetres by which the hook stands beside its eye
     * @param chainMillimetres length of the chain, 100 to 3000
     */
    public static Hang hang(int offMillimetres, int chainMillimetres) {
        OutOfRange.check("length of the chain", chainMillimetres, 100, 3000);
        OutOfRange.check("distance of the hook from its eye", offMillimetres, 0, chainMillimetres * STEEPEST);
        double angle = Math.asin((double) offMillimetres / chainMillimetres);
        return new Hang(Math.toDegrees(angle), 1 / Math.cos(angle) - 1);
    }

    /**
     * @param eyesMillimetres distance of the battery's eyes, 150 to 2500
     * @param firstMillimetres distance of the innermost notch from the beam's middle
     * @param stepMillimetres from notch to notch
     * @param notches on each side
     */
    public static Notches notches(int eyesMillimetres, int firstMillimetres, int stepMillimetres, int notches) {
        OutOfRange.check("distance of the eyes", eyesMillimetres, 150, 2500);
        OutOfRange.check("step of the notches", stepMillimetres, 10, 500);
        OutOfRange.check("number of notches", notches, 1, 60);
        double half = eyesMillimetres / 2.0;
        long nearest = Math.round((half - firstMillimetres) / stepMillimetres) + 1;
        int notch = (int) Math.max(1, Math.min(notches, nearest));
        double at = firstMillimetres + (notch - 1.0) * stepMillimetres;
        return new Notches(notch, notch, (int) Math.round(Math.abs(half - at)));
    }
}
