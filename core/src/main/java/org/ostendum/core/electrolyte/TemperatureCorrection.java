package org.ostendum.core.electrolyte;

import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;

/**
 * Brings a reading to the reference temperature: warm electrolyte is lighter, so a warm reading is raised.
 *
 * <p>Two schools are in use, 25 °C and 26.7 °C (80 °F); the reference is the caller's. Source: IEEE 450 (0.001 per 1.67 K
 * in its 25 °C school is the same slope within rounding) and the usual 0.004 per 10 °F, that is 0.00072 per K.
 *
 * @param reference temperature to which readings are brought
 */
public record TemperatureCorrection(Celsius reference) {
    /** Tenths of a point per kelvin: 0.0007 specific gravity. Valid for 1.050 to 1.320 between -20 and 60 °C. */
    private static final int TENTHS_PER_KELVIN = 7;

    /** SG_ref = SG + 0.0007 (T − T_ref). */
    public CorrectedGravity correct(SpecificGravity read, Celsius electrolyte) {
        int tenthKelvins = electrolyte.tenths() - reference.tenths();
        int shift = Math.round(tenthKelvins * TENTHS_PER_KELVIN / 10f);
        return new CorrectedGravity(read.points() * 10 + shift);
    }

    /** The correction for electrolyte whose temperature nobody took: none, as if it stood at the reference. */
    public CorrectedGravity uncorrected(SpecificGravity read) {
        return CorrectedGravity.ofPoints(read.points());
    }
}
