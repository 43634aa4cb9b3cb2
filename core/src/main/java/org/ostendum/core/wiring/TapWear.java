package org.ostendum.core.wiring;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.statistics.Robust;

/**
 * How far the blocks under a tap stand below the others of their pack, round by round on a full charge: they carry the pack's work and
 * the tap's besides. Practice {@code pack.taps}.
 *
 * @param marks oldest first
 */
public record TapWear(Tap tap, List<Mark> marks) {
    /** Of either kind: fewer readings say little of blocks. */
    private static final int LEAST = 2;

    public TapWear {
        marks = List.copyOf(marks);
    }

    /** @param points by which the tapped blocks' middle cell lies below the middle cell of the others; negative above */
    public record Mark(Instant at, double points) {}

    /** @param rounds oldest first, with the cells under the numbers that they have now */
    public static TapWear of(Tap tap, int cellsPerBlock, List<Round> rounds) {
        List<Mark> marks = new ArrayList<>();
        for (Round round : rounds) {
            if (round.state().isFull()) {
                mark(tap, cellsPerBlock, round).ifPresent(marks::add);
            }
        }
        return new TapWear(tap, marks);
    }

    private static Optional<Mark> mark(Tap tap, int cellsPerBlock, Round round) {
        double[] tapped = gravities(tap, cellsPerBlock, round, true);
        double[] others = gravities(tap, cellsPerBlock, round, false);
        return tapped.length < LEAST || others.length < LEAST
                ? Optional.empty()
                : Optional.of(new Mark(round.takenAt(), Robust.median(others) - Robust.median(tapped)));
    }

    private static double[] gravities(Tap tap, int cellsPerBlock, Round round, boolean tapped) {
        return round.readings().stream()
                .filter(reading -> reading.gravity() != null)
                .filter(reading -> tap.feedsFrom((reading.cell() - 1) / cellsPerBlock + 1) == tapped)
                .mapToDouble(TapWear::points)
                .toArray();
    }

    private static double points(CellReading reading) {
        return reading.gravity() == null ? 0 : reading.gravity().points();
    }

    /** @return by how much they have fallen behind since the first mark, points; 0 with fewer than two marks */
    public double lost() {
        return marks.size() < 2
                ? 0
                : marks.get(marks.size() - 1).points() - marks.get(0).points();
    }

    /** @return by how much they stand below the others now, points; empty for never read */
    public Optional<Double> now() {
        return marks.isEmpty()
                ? Optional.empty()
                : Optional.of(marks.get(marks.size() - 1).points());
    }
}
