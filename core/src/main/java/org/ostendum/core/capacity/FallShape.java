package org.ostendum.core.capacity;

import java.util.List;

/**
 * How the voltage of a cell falls over a whole test, V: by the acid that is used up (over a test of the rated length), by the resistance
 * that grows, and in the knee at the end.
 *
 * @param falls the three
 * @param spreads how far each may be off
 */
record FallShape(List<Double> falls, List<Double> spreads) {
    /** Of any battery: rules of thumb fitted to simulated discharges. */
    static final FallShape USUAL = new FallShape(List.of(0.168, 0.10, 0.10), List.of(0.008, 0.012, 0.06));

    /** What a year does to each: rules of thumb fitted to simulated batteries that wore on. */
    private static final List<Double> DRIFT = List.of(0.003, 0.003, 0.02);

    FallShape {
        falls = List.copyOf(falls);
        spreads = List.copyOf(spreads);
    }

    /**
     * What an earlier test of the same battery has shown of it.
     *
     * @param fit of that test, its acid's part over the time that it lasted
     * @param part of the rated time that it lasted
     */
    static FallShape learned(Fit fit, double part) {
        double[] falls = fit.means();
        double[] spreads = fit.spreads();
        return new FallShape(
                List.of(falls[0] / part, falls[1], falls[2]),
                List.of(
                        Math.hypot(spreads[0] / part, DRIFT.get(0)),
                        Math.hypot(spreads[1], DRIFT.get(1)),
                        Math.hypot(spreads[2], DRIFT.get(2))));
    }

    /** @return a fit that nothing was added to yet, of a test that lasts such a part of the rated time */
    Fit fit(double part) {
        return new Fit(
                new double[] {falls.get(0) * part, falls.get(1), falls.get(2)},
                spreads.stream().mapToDouble(Double::doubleValue).toArray());
    }
}
