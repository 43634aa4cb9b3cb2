package org.ostendum.core.battery;

import org.ostendum.core.electrolyte.ChargeScale;
import org.ostendum.core.quantity.CorrectedGravity;

/**
 * The gravities of a model's sheet, all at the reference temperature.
 *
 * @param empty at 80 % depth or what the sheet calls empty
 * @param rechargeBelow a battery below this goes on charge
 * @param fullFrom lower edge of the full window, included
 * @param fullTo upper edge of the full window, included
 */
public record GravityMarks(
        CorrectedGravity empty, CorrectedGravity rechargeBelow, CorrectedGravity fullFrom, CorrectedGravity fullTo) {

    /** @throws IllegalArgumentException unless empty &lt; rechargeBelow &le; fullFrom &le; fullTo */
    public GravityMarks {
        boolean rising = empty.compareTo(rechargeBelow) < 0
                && rechargeBelow.compareTo(fullFrom) <= 0
                && fullFrom.compareTo(fullTo) <= 0;
        if (!rising) {
            throw new IllegalArgumentException(
                    "Gravity marks must rise: empty < recharge below <= full from <= full to");
        }
    }

    /**
     * The usual marks where the sheet is not at hand. Motive and deep-cycle windows: common practice, rule of thumb;
     * aircraft recharge mark 1.255 and window 1.275 to 1.300: FAA AC 43.13-1B, general practice; stationary: IEEE 450.
     */
    public static GravityMarks usualFor(Duty duty) {
        return switch (duty) {
            case MOTIVE -> ofPoints(1140, 1180, 1275, 1295);
            case DEEP_CYCLE -> ofPoints(1140, 1200, 1265, 1280);
            case AIRCRAFT -> ofPoints(1150, 1255, 1275, 1300);
            case STATIONARY -> ofPoints(1100, 1190, 1205, 1250);
        };
    }

    public static GravityMarks ofPoints(int empty, int rechargeBelow, int fullFrom, int fullTo) {
        return new GravityMarks(
                CorrectedGravity.ofPoints(empty),
                CorrectedGravity.ofPoints(rechargeBelow),
                CorrectedGravity.ofPoints(fullFrom),
                CorrectedGravity.ofPoints(fullTo));
    }

    /** The middle of the full window counts as 100 %. */
    public ChargeScale scale() {
        return new ChargeScale(empty, new CorrectedGravity((fullFrom.tenths() + fullTo.tenths()) / 2));
    }
}
