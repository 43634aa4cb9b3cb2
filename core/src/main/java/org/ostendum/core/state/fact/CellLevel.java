package org.ostendum.core.state.fact;

import java.time.Instant;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.measure.Answer;

/**
 * The electrolyte of one cell as far as it is known.
 *
 * @param lowMm above the plates at least, negative where they show
 * @param highMm above the plates at most
 * @param basis what was last seen or done; what charges have used up or lifted since is reckoned on from there
 * @param at when that was
 */
public record CellLevel(double lowMm, double highMm, Basis basis, Instant at) {
    private static final double TOUCH = 0.01;

    /** What a level rests on. */
    public enum Basis {
        SEEN,
        MEASURED,
        POURED,
        /** Just covered before a charge, to be filled after it. */
        COVERED,
        DRAWN_OFF;

        /** @return whether somebody looked, rather than poured */
        public boolean isLook() {
            return this == SEEN || this == MEASURED;
        }
    }

    /** @return whether the plates are covered: unknown where the range reaches over and under them */
    public Answer coversPlates() {
        return lowMm >= 0 ? Answer.YES : highMm <= 0 ? Answer.NO : Answer.UNKNOWN;
    }

    public Answer isOver(LevelMarks marks) {
        return lowMm > marks.overMm() - TOUCH ? Answer.YES : highMm <= marks.overMm() ? Answer.NO : Answer.UNKNOWN;
    }

    /** @return whether it stands below the low mark */
    public Answer isLow(LevelMarks marks) {
        return highMm <= marks.lowMm() ? Answer.YES : lowMm >= marks.lowMm() ? Answer.NO : Answer.UNKNOWN;
    }

    /** @return whether it is to be filled: below the low mark, or only just covered */
    public boolean wantsWater(LevelMarks marks) {
        return isLow(marks).isYes() || basis == Basis.COVERED;
    }

    CellLevel moved(double low, double high) {
        return new CellLevel(lowMm + low, highMm + high, basis, at);
    }
}
