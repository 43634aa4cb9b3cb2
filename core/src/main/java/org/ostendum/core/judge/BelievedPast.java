package org.ostendum.core.judge;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.ostendum.core.electrolyte.TemperatureCorrection;

/**
 * Earlier gravities that the judge goes by. A reading that was not believed when it was taken is no fact later on either, unless
 * the round after it has borne it out.
 */
final class BelievedPast {
    /** A place that a second round finds again within so much was no slip, tenths of a point. */
    private static final int BORNE_OUT_WITHIN = 250;

    private BelievedPast() {}

    /**
     * @param past oldest first
     * @param latest what the round after them has read
     */
    static List<DatedGravities> of(List<PastRound> past, Gravities latest, TemperatureCorrection correction) {
        List<DatedGravities> believed = new ArrayList<>();
        Gravities after = latest;
        for (int i = past.size() - 1; i >= 0; i--) {
            PastRound round = past.get(i);
            if (!round.isSound()) {
                continue;
            }
            Gravities read = round.gravities(correction);
            if (!read.isEmpty()) {
                Gravities kept = round.setAside().isEmpty()
                        ? read
                        : round.gravitiesWithout(slips(round, read, after), correction);
                if (!kept.isEmpty()) {
                    believed.add(new DatedGravities(
                            round.round().takenAt(), round.round().state(), kept));
                }
                after = read;
            }
        }
        Collections.reverse(believed);
        return List.copyOf(believed);
    }

    private static Set<Integer> slips(PastRound round, Gravities read, Gravities after) {
        Set<Integer> slips = new HashSet<>();
        for (int cell : round.setAside()) {
            if (read.byCell().containsKey(cell) && !isBorneOut(cell, read, after)) {
                slips.add(cell);
            }
        }
        return slips;
    }

    /** What fails goes on failing: the round after finds it still lower. */
    private static boolean isLower(int then, int later) {
        return then <= -BORNE_OUT_WITHIN && later <= then;
    }

    private static boolean isBorneOut(int cell, Gravities read, Gravities after) {
        if (!after.byCell().containsKey(cell)) {
            return false;
        }
        int then = read.aboveMedian(cell).tenths();
        int later = after.aboveMedian(cell).tenths();
        return Math.abs(then - later) <= BORNE_OUT_WITHIN || isLower(then, later);
    }
}
