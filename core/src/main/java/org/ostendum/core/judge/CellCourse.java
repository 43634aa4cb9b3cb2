package org.ostendum.core.judge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ostendum.core.statistics.Robust;

/**
 * One cell against its battery over the rounds on a full battery, oldest first.
 *
 * @param days of each reading, counted from the latest round: none is above 0
 * @param above tenths of a point above the median of its battery
 */
public record CellCourse(List<Double> days, List<Double> above) {
    /** The cell's place now is the median of its last readings, which one bad reading does not move. */
    static final int PLACE = 3;

    /** Standard error of a median of n readings, in standard deviations: 1.25 ÷ √n. */
    private static final double MEDIAN_ERROR = 1.25;

    public CellCourse {
        days = List.copyOf(days);
        above = List.copyOf(above);
    }

    static CellCourse of(List<DatedGravities> rounds, int cell, Instant now) {
        List<Double> days = new ArrayList<>();
        List<Double> above = new ArrayList<>();
        for (DatedGravities dated : rounds) {
            if (dated.gravities().byCell().containsKey(cell)) {
                days.add(Duration.between(now, dated.takenAt()).toMinutes() / 1440.0);
                above.add((double) dated.gravities().aboveMedian(cell).tenths());
            }
        }
        return new CellCourse(days, above);
    }

    public int readings() {
        return above.size();
    }

    /** @return tenths above the median now; empty with fewer than three readings */
    public OptionalDouble place() {
        return readings() < PLACE ? OptionalDouble.empty() : OptionalDouble.of(median(readings() - PLACE, readings()));
    }

    /** @return tenths above the median at the beginning: the median of the first third, of no fewer than three */
    public double begunAt() {
        return median(0, firstThird());
    }

    private int firstThird() {
        return Math.min(readings(), Math.max(PLACE, readings() / 3));
    }

    /** @return tenths fallen since the beginning, negative where it rose */
    public double fallen() {
        return begunAt() - place().orElse(begunAt());
    }

    /** @return standard error of {@link #fallen()} where single readings scatter by so many tenths */
    public double fallenError(double scatterTenths) {
        return MEDIAN_ERROR * scatterTenths * Math.sqrt(1.0 / PLACE + 1.0 / firstThird());
    }

    /** @return the last reading alone, tenths above the median */
    public double last() {
        return above.get(readings() - 1);
    }

    /** @return index of the first reading from which all later ones lie more than half the fall below the beginning */
    public int fallIndex() {
        double half = begunAt() - fallen() / 2;
        int index = readings();
        while (index > 0 && above.get(index - 1) < half) {
            index--;
        }
        return index;
    }

    private double median(int from, int to) {
        return Robust.median(above.subList(from, to).stream()
                .mapToDouble(Double::doubleValue)
                .toArray());
    }

    /** @return the last {@code most} readings */
    public CellCourse last(int most) {
        int from = Math.max(0, readings() - most);
        return new CellCourse(days.subList(from, readings()), above.subList(from, readings()));
    }

    public double[] daysArray() {
        return array(days);
    }

    public double[] aboveArray() {
        return array(above);
    }

    private static double[] array(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
