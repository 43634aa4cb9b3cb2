package org.ostendum.core.electrolyte;

import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.OutOfRange;

/**
 * Sulfuric acid in water: density by mass fraction. Source: International Critical Tables, density at 20 °C, as tabulated in
 * chemical engineers' handbooks; linear between its lines (within 0.0003 kg/l below 50 %).
 *
 * <p>A gravity is density against water's, both at 25 °C; brought from 20 °C by 0.0007 for each kelvin, ± 0.003.
 */
public final class AcidTable {
    /** Mass percent, in the steps of the table. */
    private static final double[] PERCENT = {
        0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30, 32, 34, 36, 38, 40, 42, 44, 46, 48,
        50, 52, 54, 56, 58, 60, 62, 64, 66, 68, 70, 72, 74, 76, 78, 80, 82, 84, 86, 88, 90, 92, 94, 96
    };
    /** kg/l at 20 °C. */
    private static final double[] DENSITY = {
        0.9982, 1.0051, 1.0118, 1.0184, 1.0250, 1.0317, 1.0385, 1.0453, 1.0522, 1.0591, 1.0661, 1.0802, 1.0947, 1.1094,
        1.1243, 1.1394, 1.1548, 1.1704, 1.1862, 1.2023, 1.2185, 1.2349, 1.2515, 1.2684, 1.2855, 1.3028, 1.3205, 1.3384,
        1.3569, 1.3758, 1.3951, 1.4148, 1.4350, 1.4557, 1.4768, 1.4983, 1.5200, 1.5421, 1.5646, 1.5874, 1.6105, 1.6338,
        1.6574, 1.6810, 1.7043, 1.7272, 1.7491, 1.7693, 1.7872, 1.8022, 1.8144, 1.8240, 1.8312, 1.8355
    };
    /** Water at 25 °C, kg/l. */
    private static final double WATER = 0.99705;

    private static final double PER_KELVIN = 0.0007;
    private static final double KELVINS_TO_25 = 5;

    private AcidTable() {}

    /**
     * @param massFraction of H₂SO₄, 0 to 0.96
     * @return kg/l at 25 °C
     */
    public static double density(double massFraction) {
        OutOfRange.check("mass fraction", massFraction, 0, 0.96);
        return interpolate(PERCENT, DENSITY, massFraction * 100) - cooling(massFraction);
    }

    /** Water shrinks less than acid: from 20 to 25 °C it loses 0.00115 kg/l. */
    private static double cooling(double massFraction) {
        double acid = KELVINS_TO_25 * PER_KELVIN;
        double water = 0.9982 - WATER;
        return water + (acid - water) * Math.min(1, massFraction / 0.1);
    }

    /** @return corrected gravity of acid of this mass fraction */
    public static CorrectedGravity gravity(double massFraction) {
        return new CorrectedGravity((int) Math.round(density(massFraction) / WATER * 10_000));
    }

    /**
     * @param gravity 1.000 to 1.830
     * @return mass fraction of H₂SO₄
     */
    public static double massFraction(CorrectedGravity gravity) {
        OutOfRange.check("gravity", gravity.tenths() / 10_000.0, 1.0, 1.83);
        double wanted = gravity.tenths() / 10_000.0 * WATER;
        double low = 0;
        double high = 0.96;
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            if (density(middle) < wanted) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static double interpolate(double[] at, double[] values, double where) {
        int i = 1;
        while (i < at.length - 1 && at[i] < where) {
            i++;
        }
        double share = (where - at[i - 1]) / (at[i] - at[i - 1]);
        return values[i - 1] + share * (values[i] - values[i - 1]);
    }
}
