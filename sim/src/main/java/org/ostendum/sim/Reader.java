package org.ostendum.sim;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/**
 * A person with a hydrometer, a thermometer and a voltmeter. The float is read to two points and shows one cell's gravity
 * with a standard error of about that; now and then a figure is dropped or two cells change places on the paper.
 */
final class Reader {
    private static final double FLOAT_ERROR = 1.6;
    private static final double METER_ERROR = 0.008;
    private static final double THERMOMETER_ERROR = 0.7;
    /** The float's own fault, the same in every reading of a site. */
    private final double floatOff;

    private final Site site;
    private final Random random;

    Reader(Site site, Random random) {
        this.site = site;
        this.random = random;
        this.floatOff = random.nextGaussian() * 1.2;
    }

    /**
     * Readings and which of them are mistakes.
     *
     * @param mistaken cells whose reading is not what the float showed
     * @param again what the float shows of each cell when it is drawn a second time, with care
     */
    record Read(Round round, List<Integer> mistaken, List<SpecificGravity> again) {}

    /** @param finishVolts read on the charge before the round, null where nobody did */
    Read read(CellBank bank, Instant at, RoundState state, double @Nullable [] finishVolts, List<Integer> shedding) {
        int[] points = drawn(bank);
        List<Integer> mistaken = slip(points);
        boolean levels = site.looksAtLevels();
        List<CellReading> readings = new ArrayList<>();
        for (int i = 0; i < bank.cells; i++) {
            boolean tooLow = bank.reserveLeft(i) < -0.6;
            Volts volts = finishVolts == null ? null : Volts.of(round(finishVolts[i] + error(METER_ERROR), 100));
            readings.add(new CellReading(
                    i + 1,
                    tooLow ? null : SpecificGravity.ofPoints(points[i]),
                    tooLow,
                    false,
                    null,
                    volts,
                    volts != null,
                    levels ? level(bank.reserveLeft(i)) : null,
                    shedding.contains(i + 1) && random.nextInt(3) == 0 ? Colour.BROWN : null));
        }
        double celsius = round(bank.celsius + error(THERMOMETER_ERROR), 2);
        List<SpecificGravity> again =
                IntStream.of(drawn(bank)).mapToObj(SpecificGravity::ofPoints).toList();
        return new Read(new Round(at, state, Celsius.of(celsius), readings), mistaken, again);
    }

    private int[] drawn(CellBank bank) {
        return IntStream.range(0, bank.cells).map(i -> points(bank, i)).toArray();
    }

    private int points(CellBank bank, int i) {
        double corrected = bank.mixedGravity(i).tenths() / 10.0 - bank.topLighter(i);
        double shown = corrected - 0.7 * (bank.celsius - 25) + floatOff + error(FLOAT_ERROR);
        int even = random.nextInt(3) == 0 ? (int) Math.round(shown / 5) * 5 : (int) Math.round(shown);
        return possible(even);
    }

    /** What cannot be would be refused when it is typed. */
    private static int possible(int points) {
        return Math.max(SpecificGravity.LEAST_POINTS, Math.min(SpecificGravity.MOST_POINTS, points));
    }

    private List<Integer> slip(int[] points) {
        if (random.nextDouble() >= site.slips()) {
            return List.of();
        }
        int i = random.nextInt(points.length);
        int before = points[i];
        switch (random.nextInt(3)) {
            case 0 -> points[i] = 1000 + (points[i] - 1000) / 10;
            case 1 -> points[i] = possible(points[i] + (random.nextBoolean() ? 100 : -100));
            default -> {
                int other = random.nextInt(points.length);
                points[i] = points[other];
                points[other] = before;
                return Math.abs(points[i] - before) < 10 ? List.of() : List.of(i + 1, other + 1);
            }
        }
        return List.of(i + 1);
    }

    private static Level level(double reserve) {
        if (reserve <= 0) {
            return Level.EXPOSED;
        }
        return reserve < 0.25 ? Level.LOW : reserve > 1.25 ? Level.OVER : Level.RIGHT;
    }

    private double error(double deviation) {
        return deviation * random.nextGaussian();
    }

    private static double round(double value, int parts) {
        return Math.round(value * parts) / (double) parts;
    }
}
