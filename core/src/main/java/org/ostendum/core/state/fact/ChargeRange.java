package org.ostendum.core.state.fact;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.StateOfCharge;

/**
 * State of charge as far as it is known: a range with the likeliest value in it.
 *
 * @param low part of full, 0 to 1
 * @param likely within the range
 * @param high part of full, 0 to 1
 * @param basis what it was last anchored by or moved by
 * @param at when that was; null where nothing is known
 */
public record ChargeRange(double low, double likely, double high, Basis basis, @Nullable Instant at) {
    static final ChargeRange NOT_KNOWN = new ChargeRange(0, 0.5, 1, Basis.NOTHING, null);

    /** What a state of charge rests on. */
    public enum Basis {
        FULL_CHARGE,
        GRAVITY,
        REST_VOLTAGE,
        /** Ampere-hours out since it was known. */
        WORK,
        /** A charge that was ended before full, or on no evidence. */
        PART_CHARGE,
        STOOD_FLAT,
        NOTHING
    }

    public ChargeRange {
        low = within(low);
        high = Math.max(low, within(high));
        likely = Math.max(low, Math.min(high, likely));
    }

    private static double within(double part) {
        return Math.max(0, Math.min(1, part));
    }

    /** @return whether it is known well enough to be told as one figure */
    public boolean isKnown() {
        return basis != Basis.NOTHING && high - low <= 0.5;
    }

    public StateOfCharge percent() {
        return StateOfCharge.ofFraction(likely);
    }

    ChargeRange moved(double low, double likely, double high, Basis by, Instant at) {
        return new ChargeRange(this.low + low, this.likely + likely, this.high + high, by, at);
    }

    static ChargeRange around(double likely, double either, Basis by, Instant at) {
        return new ChargeRange(likely - either, within(likely), likely + either, by, at);
    }
}
