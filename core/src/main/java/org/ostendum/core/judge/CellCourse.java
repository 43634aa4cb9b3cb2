package org.ostendum.core.judge;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.ostendum.core.statistics.Robust;

/** One cell against its battery over the rounds on a full battery, oldest first. Immutable. */
public final class CellCourse {
    /** The cell's place now is the median of its last readings, which one bad reading does not move. */
    static final int PLACE = 3;

    /** Standard error of a median of n readings, in standard deviations: 1.25 ÷ √n. */
    private static final double MEDIAN_ERROR = 1.25;

    private final double[] days;
    private final double[] above;
    private final double placeNow;
    /** Most courses are never asked for it; not a number until one is. */
    private double begunAt = Double.NaN;

    private CellCourse(double[] days, double[] above) {
        this.days = days;
        this.above = above;
        this.placeNow = above.length < PLACE ? Double.NaN : median(above.length - PLACE, above.length);
    }

    /** @param days of the rounds from now, see {@link #days(List, Instant)} */
    static CellCourse of(List<DatedGravities> rounds, double[] days, int cell) {
        double[] ofCell = new double[rounds.size()];
        double[] above = new double[rounds.size()];
        int read = 0;
        for (int i = 0; i < days.length; i++) {
            Gravities gravities = rounds.get(i).gravities();
            if (gravities.has(cell)) {
                ofCell[read] = days[i];
                above[read] = gravities.aboveTenths(cell);
                read++;
            }
        }
        return new CellCourse(Arrays.copyOf(ofCell, read), Arrays.copyOf(above, read));
    }

    /** @return days of each round from now, negative before it */
    static double[] days(List<DatedGravities> rounds, Instant now) {
        return rounds.stream()
                .mapToDouble(dated -> Duration.between(now, dated.takenAt()).toMinutes() / 1440.0)
                .toArray();
    }

    public int readings() {
        return above.length;
    }

    /** @return days of a reading from the latest round, not above 0 */
    public double day(int index) {
        return days[index];
    }

    /** @return tenths of a point of a reading above the median of its battery */
    public double above(int index) {
        return above[index];
    }

    /** @return tenths above the median now; empty with fewer than three readings */
    public OptionalDouble place() {
        return Double.isNaN(placeNow) ? OptionalDouble.empty() : OptionalDouble.of(placeNow);
    }

    /** @return tenths above the median at the beginning: the median of the first third, of no fewer than three; not a number without readings */
    public double begunAt() {
        if (Double.isNaN(begunAt) && above.length > 0) {
            begunAt = median(0, firstThird());
        }
        return begunAt;
    }

    /** @return whether it may have fallen by so many tenths: told at a glance, where most cells have not */
    public boolean mayHaveFallen(double tenths) {
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < firstThird(); i++) {
            highest = Math.max(highest, above[i]);
        }
        return Double.isNaN(placeNow) || highest - placeNow >= tenths;
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
        return above[readings() - 1];
    }

    /** @return index of the first reading from which all later ones lie more than half the fall below the beginning */
    public int fallIndex() {
        double half = begunAt() - fallen() / 2;
        int index = readings();
        while (index > 0 && above[index - 1] < half) {
            index--;
        }
        return index;
    }

    private double median(int from, int to) {
        return Robust.median(Arrays.copyOfRange(above, from, to));
    }

    /** @return the last {@code most} readings */
    public CellCourse last(int most) {
        int from = Math.max(0, readings() - most);
        return new CellCourse(Arrays.copyOfRange(days, from, readings()), Arrays.copyOfRange(above, from, readings()));
    }

    public double[] daysArray() {
        return days.clone();
    }

    public double[] aboveArray() {
        return above.clone();
    }
}
