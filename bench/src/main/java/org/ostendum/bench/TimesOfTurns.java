package org.ostendum.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Times of one request, measured in turns with others: of the turns in which the machine was hardly shared, and of all. One turn
 * stands or falls as a whole, for of single requests the long ones would be left out more often.
 */
final class TimesOfTurns {
    /** Of the time wanted. */
    private static final double HARDLY_SHARED = 0.02;

    private final List<Turn> turns = new ArrayList<>();

    private record Turn(List<Double> milliseconds, double stolen) {}

    /** @param stolen part of the time wanted that others had, 0 to 1 */
    void add(List<Double> milliseconds, double stolen) {
        turns.add(new Turn(List.copyOf(milliseconds), stolen));
    }

    /** @return those hardly shared; the one shared least where all were */
    private List<Turn> quiet() {
        List<Turn> quiet =
                turns.stream().filter(t -> t.stolen() <= HARDLY_SHARED).toList();
        return quiet.isEmpty()
                ? List.of(turns.stream()
                        .min(Comparator.comparingDouble(Turn::stolen))
                        .orElseThrow())
                : quiet;
    }

    private static List<Double> sorted(List<Turn> turns) {
        return turns.stream().flatMap(t -> t.milliseconds().stream()).sorted().toList();
    }

    /** @return p50 and p95 of the quiet turns, how many those are and what was stolen of them at most, p50 and p95 of all turns */
    @Override
    public String toString() {
        List<Turn> quiet = quiet();
        List<Double> times = sorted(quiet);
        List<Double> all = sorted(turns);
        double stolen = quiet.stream().mapToDouble(Turn::stolen).max().orElseThrow();
        return "%10.1f %10.1f %5d/%d %8.1f %% %10.1f %10.1f"
                .formatted(
                        part(times, 50),
                        part(times, 95),
                        quiet.size(),
                        turns.size(),
                        stolen * 100,
                        part(all, 50),
                        part(all, 95));
    }

    private static double part(List<Double> sorted, int percent) {
        return sorted.get(sorted.size() * percent / 100);
    }
}
