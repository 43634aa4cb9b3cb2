package org.ostendum.core.judge;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.ostendum.core.quantity.CorrectedGravity;
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

    private final List<DatedGravities> past;
    private final double tenths;

    private Scatter(List<DatedGravities> past, double tenths) {
        this.past = past;
        this.tenths = tenths;
    }

    static Scatter of(List<DatedGravities> soundPast) {
        List<DatedGravities> recent =
                soundPast.subList(Math.max(0, soundPast.size() - ROUNDS_FOR_SCATTER), soundPast.size());
        double[] changes = changes(recent);
        double deviation = changes.length == 0 ? LEAST_TENTHS : Robust.deviation(changes);
        return new Scatter(recent, Math.max(Math.max(LEAST_TENTHS, ROUNDING * division(recent)), deviation));
    }

    /** @return tenths of the finest division of the float that the readings show: 100 where all are whole tens of points */
    private static int division(List<DatedGravities> recent) {
        int[] divisions = {100, 50, 20};
        for (int division : divisions) {
            long read = 0;
            long whole = 0;
            for (DatedGravities dated : recent) {
                // Corrected gravities of one round are all shifted by the same.
                int first = dated.gravities().isEmpty()
                        ? 0
                        : dated.gravities().lowest().tenths();
                for (CorrectedGravity gravity : dated.gravities().byCell().values()) {
                    read++;
                    whole += Math.floorMod(gravity.tenths() - first, division) <= 1 ? 1 : 0;
                }
            }
            if (read >= LEAST_READ && whole >= NEARLY_ALL * read) {
                return division;
            }
        }
        return 0;
    }

    /** How each reading of a cell lies against the last one before it, which need not be of the round before. */
    private static double[] changes(List<DatedGravities> recent) {
        DoubleStream.Builder changes = DoubleStream.builder();
        Map<Integer, Integer> places = new HashMap<>();
        for (DatedGravities dated : recent) {
            for (int cell : dated.gravities().byCell().keySet()) {
                int place = dated.gravities().aboveTenths(cell);
                Integer before = places.put(cell, place);
                if (before != null) {
                    changes.add(place - before);
                }
            }
        }
        return changes.build().toArray();
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
        double[] all = past.stream()
                .map(DatedGravities::gravities)
                .filter(g -> g.has(cell))
                .mapToDouble(g -> g.aboveTenths(cell))
                .toArray();
        double[] places = Arrays.copyOfRange(all, Math.max(0, all.length - ROUNDS_FOR_PLACE), all.length);
        if (places.length == 0 || now.count() < LEAST_CELLS) {
            return Optional.empty();
        }
        double above = now.aboveMedian(cell).tenths();
        double moved = above - Robust.median(places);
        // What was read twice running is believed.
        double sinceLast = above - places[places.length - 1];
        return Math.abs(moved) > factor * tenths && Math.abs(sinceLast) > factor * tenths
                ? Optional.of(new GravityDifference((int) Math.round(moved)))
                : Optional.empty();
    }
}
