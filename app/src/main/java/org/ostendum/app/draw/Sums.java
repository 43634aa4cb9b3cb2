package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.EndOfCharge;
import org.ostendum.core.gas.Gassing;

/**
 * What a charge has come to at each of its samples.
 *
 * @param ampHoursAt put in up to each sample
 * @param litresAt hydrogen an hour at each sample, by the voltage
 */
record Sums(List<Double> ampHoursAt, List<Double> litresAt) {
    static Sums of(List<ChargeSample> samples, int cells) {
        List<Double> ampHours = new ArrayList<>();
        List<Double> litres = new ArrayList<>();
        double sum = 0;
        for (int i = 0; i < samples.size(); i++) {
            sum += i == 0 ? 0 : EndOfCharge.returned(samples.subList(i - 1, i + 1));
            ampHours.add(sum);
            litres.add(litres(samples.get(i), cells));
        }
        return new Sums(ampHours, litres);
    }

    private static double litres(ChargeSample sample, int cells) {
        return 1000
                * Gassing.ofCharge(cells, sample.volts(), sample.amperes(), sample.celsius())
                        .cubicMetres();
    }

    double ampHours() {
        return ampHoursAt.isEmpty() ? 0 : ampHoursAt.get(ampHoursAt.size() - 1);
    }

    double mostLitres() {
        return litresAt.stream().mapToDouble(Double::doubleValue).max().orElse(0);
    }
}
