package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;

/**
 * Which samples of a charge are worth keeping. While it runs one a minute, and at once whatever has moved; of an old
 * charge the first and last of each stretch and every sample that holds an extreme in it, so that no peak is lost.
 */
public final class Thinning {
    private static final Duration USUAL = Duration.ofMinutes(1);
    /** V a cell. */
    private static final double VOLTS_MOVED = 0.01;
    /** Part of the capacity. */
    private static final double AMPERES_MOVED = 0.01;

    private static final int CELSIUS_MOVED = 5;

    private Thinning() {}

    /**
     * @param last sample kept; null for none
     * @param cells of the battery
     * @param capacity Ah
     */
    public static boolean isNews(@Nullable ChargeSample last, ChargeSample now, int cells, double capacity) {
        if (last == null || !now.at().isBefore(last.at().plus(USUAL))) {
            return true;
        }
        double volts = Math.abs(now.volts().volts() - last.volts().volts()) / cells;
        double amperes = Math.abs(now.amperes().amperes() - last.amperes().amperes()) / capacity;
        return volts >= VOLTS_MOVED || amperes >= AMPERES_MOVED || hasWarmed(last.celsius(), now.celsius());
    }

    private static boolean hasWarmed(@Nullable Celsius before, @Nullable Celsius now) {
        return before != null && now != null && Math.abs(now.tenths() - before.tenths()) >= CELSIUS_MOVED;
    }

    /**
     * @param stretch above zero
     * @return of the samples those to keep, oldest first
     */
    public static List<ChargeSample> fold(List<ChargeSample> samples, Duration stretch) {
        TreeMap<Long, List<ChargeSample>> stretches = new TreeMap<>();
        for (ChargeSample sample : samples) {
            long number = Math.floorDiv(sample.at().getEpochSecond(), stretch.toSeconds());
            stretches.computeIfAbsent(number, n -> new ArrayList<>()).add(sample);
        }
        Set<Instant> kept = new TreeSet<>();
        stretches.values().forEach(within -> keep(within, kept));
        return samples.stream()
                .filter(sample -> kept.contains(sample.at()))
                .sorted(Comparator.comparing(ChargeSample::at))
                .toList();
    }

    private static void keep(List<ChargeSample> within, Set<Instant> kept) {
        Comparator<ChargeSample> volts = Comparator.comparing(ChargeSample::volts);
        Comparator<ChargeSample> amperes = Comparator.comparing(ChargeSample::amperes);
        Comparator<ChargeSample> time = Comparator.comparing(ChargeSample::at);
        for (Comparator<ChargeSample> by : List.of(time, volts, amperes)) {
            kept.add(within.stream().min(by).orElseThrow().at());
            kept.add(within.stream().max(by).orElseThrow().at());
        }
        within.stream()
                .filter(s -> s.celsius() != null)
                .max(Comparator.comparing(s -> Objects.requireNonNull(s.celsius())))
                .ifPresent(s -> kept.add(s.at()));
    }
}
