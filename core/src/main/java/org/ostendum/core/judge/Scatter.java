package org.ostendum.core.judge;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.statistics.Robust;

/**
 * How much this battery's readings usually hop about: the robust standard deviation of the changes, from round to round,
 * of each cell's distance to its battery's median.
 */
public final class Scatter {
    /** A hydrometer is read to 2 points at best, so no battery scatters less (rule of thumb). */
    private static final int LEAST_TENTHS = 20;
    /** The cell's own place is the median of this many last rounds. */
    private static final int ROUNDS_FOR_PLACE = 3;
    /** A median of fewer cells is moved by the cell itself. */
    private static final int LEAST_CELLS = 3;
    /** The last dozen is what "usual" means. */
    private static final int ROUNDS_FOR_SCATTER = 12;

    /** Part of a division by which rounding to it scatters a change of places: 1 ÷ √6. */
    private static final double ROUNDING = 0.41;
    /** Fewer readings show no division. */
    private static final int LEAST_READ = 18;

    private static final double NEARLY_ALL = 0.97;
    private static final List<Integer> DIVISIONS = List.of(100, 50);

    private final List<DatedGravities> past;
    private final double tenths;

    private Scatter(List<DatedGravities> past, double tenths) {
        this.past = past;
        this.tenths = tenths;
    }

    static Scatter of(List<DatedGravities> soundPast) {
        List<DatedGravities> recent =
                soundPast.subList(Math.max(0, soundPast.size() - ROUNDS_FOR_SCATTER), soundPast.size());
        int[] changes = changes(recent);
        double deviation = changes.length == 0 ? LEAST_TENTHS : Robust.deviation(changes);
        double hops = Math.max(LEAST_TENTHS, deviation);
        return new Scatter(recent, Math.max(hops, ROUNDING * division(recent, hops / ROUNDING)));
    }

    /**
     * @param coarserThan finer ones are not looked for, tenths
     * @return tenths of the finest division of the float that the readings show: 100 where all are whole tens of points; 0 for none
     */
    private static int division(List<DatedGravities> recent, double coarserThan) {
        int read = recent.stream().mapToInt(dated -> dated.gravities().count()).sum();
        return read < LEAST_READ
                ? 0
                : DIVISIONS.stream()
                        .filter(division -> division > coarserThan)
                        .filter(division -> whole(recent, division) >= NEARLY_ALL * read)
                        .findFirst()
                        .orElse(0);
    }

    /** @return how many readings lie on a whole division */
    private static int whole(List<DatedGravities> recent, int division) {
        int whole = 0;
        for (DatedGravities dated : recent) {
            Gravities gravities = dated.gravities();
            // Corrected gravities of one round are all shifted by the same.
            int lowest = gravities.isEmpty() ? 0 : gravities.lowest().tenths() - gravities.medianTenths();
            for (int i = 0; i < gravities.count(); i++) {
                whole += (gravities.aboveTenths(gravities.cellAt(i)) - lowest) % division <= 1 ? 1 : 0;
            }
        }
        return whole;
    }

    /** How each reading of a cell lies against the last one before it, which need not be of the round before. */
    private static int[] changes(List<DatedGravities> recent) {
        int cells = recent.stream()
                .mapToInt(dated -> dated.gravities().highestNumber())
                .max()
                .orElse(0);
        int[] places = new int[cells + 1];
        boolean[] known = new boolean[cells + 1];
        int[] changes = new int
                [recent.stream().mapToInt(dated -> dated.gravities().count()).sum()];
        int next = 0;
        for (DatedGravities dated : recent) {
            Gravities gravities = dated.gravities();
            for (int i = 0; i < gravities.count(); i++) {
                int cell = gravities.cellAt(i);
                int place = gravities.aboveTenths(cell);
                if (known[cell]) {
                    changes[next++] = place - places[cell];
                }
                known[cell] = true;
                places[cell] = place;
            }
        }
        return Arrays.copyOf(changes, next);
    }

    public GravityDifference usual() {
        return new GravityDifference((int) Math.round(tenths));
    }

    /**
     * @param factor times the usual scatter
     * @return how far the cell has moved against its battery since its last rounds, if by more than {@code factor} times
     *     the usual; empty also where the past is too short to say
     */
    Optional<GravityDifference> jump(Gravities now, int cell, int factor) {
        double[] places = lastPlaces(cell);
        if (places.length == 0 || now.count() < LEAST_CELLS) {
            return Optional.empty();
        }
        double above = now.aboveTenths(cell);
        double moved = above - Robust.median(places);
        // What was read twice running is believed.
        double sinceLast = above - places[0];
        return Math.abs(moved) > factor * tenths
                        && Math.abs(sinceLast) > factor * tenths
                        && !goesOn(places, above, factor)
                ? Optional.of(new GravityDifference((int) Math.round(moved)))
                : Optional.empty();
    }

    /** A cell that had leapt down before and now stands lower still goes on failing. */
    private boolean goesOn(double[] places, double above, int factor) {
        if (places.length < 2) {
            return false;
        }
        double leapt = places[0] - Robust.median(Arrays.copyOfRange(places, 1, places.length));
        return leapt < -factor * tenths && above < places[0];
    }

    /** @return tenths above the median, of the last rounds that read the cell, newest first */
    private double[] lastPlaces(int cell) {
        double[] places = new double[ROUNDS_FOR_PLACE];
        int read = 0;
        for (int i = past.size() - 1; i >= 0 && read < ROUNDS_FOR_PLACE; i--) {
            Gravities gravities = past.get(i).gravities();
            if (gravities.has(cell)) {
                places[read++] = gravities.aboveTenths(cell);
            }
        }
        return Arrays.copyOf(places, read);
    }
}
