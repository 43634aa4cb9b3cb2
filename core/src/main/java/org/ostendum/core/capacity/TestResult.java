package org.ostendum.core.capacity;

import java.time.Duration;
import org.ostendum.core.quantity.AmpHours;

/**
 * What a discharge test came to.
 *
 * @param lasted under load up to the cut-off
 * @param measured Ah taken out
 * @param corrected to the reference temperature
 * @param part of the rating, corrected; 1 for all of it
 * @param lambda for each kelvin
 * @param reference temperature, °C
 */
public record TestResult(
        Duration lasted, AmpHours measured, AmpHours corrected, double part, double lambda, double reference) {

    static TestResult of(TestSheet sheet, Duration lasted, double ampHours) {
        AmpHours measured = AmpHours.of(ampHours);
        AmpHours corrected = CapacitySums.corrected(measured, lasted, sheet.electrolyte(), sheet.duty());
        return new TestResult(
                lasted,
                measured,
                corrected,
                corrected.ampHours() / sheet.rated().ampHours(),
                CapacitySums.lambda(lasted),
                CapacitySums.reference(sheet.duty()).degrees());
    }

    public boolean isServiceable() {
        return part >= TestSheet.PASSES_FROM;
    }
}
