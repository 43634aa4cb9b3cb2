package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What spares the blocks under a tap: the tap goes to others, or the blocks change places with others. Both are done about once a year.
 * Practice {@code pack.taps}.
 *
 * @param elsewhere the tap on as many blocks at the other end; the same where it feeds from more than half
 * @param swaps blocks that change places, one from under the tap and one from farthest away
 */
public record TapRelief(Tap tap, Tap elsewhere, List<Swap> swaps) {
    public TapRelief {
        swaps = List.copyOf(swaps);
    }

    /** Two blocks that change places. */
    public record Swap(int tapped, int other) {}

    /** @param blocks of the pack */
    public static TapRelief of(Tap tap, int blocks) {
        Tap mirrored = new Tap(tap.name(), blocks + 1 - tap.last(), blocks + 1 - tap.first());
        boolean overlaps = mirrored.first() <= tap.last() && tap.first() <= mirrored.last();
        return new TapRelief(tap, overlaps ? tap : mirrored, swaps(List.of(tap), blocks));
    }

    /**
     * @param taps of one pack, which may feed from the same blocks
     * @param blocks of the pack
     * @return blocks that change places, each once: those under a tap with those under none, the farthest first
     */
    public static List<Swap> swaps(List<Tap> taps, int blocks) {
        Map<Boolean, List<Integer>> tapped = IntStream.rangeClosed(1, blocks)
                .boxed()
                .collect(Collectors.partitioningBy(block -> taps.stream().anyMatch(tap -> tap.feedsFrom(block))));
        List<Integer> worn = tapped.getOrDefault(true, List.of());
        double middle = worn.stream().mapToInt(Integer::intValue).average().orElse(0);
        List<Integer> spared = tapped.getOrDefault(false, List.of()).stream()
                .sorted(Comparator.comparing((Integer block) -> -Math.abs(block - middle)))
                .toList();
        List<Swap> swaps = new ArrayList<>();
        for (int i = 0; i < Math.min(worn.size(), spared.size()); i++) {
            swaps.add(new Swap(worn.get(i), spared.get(i)));
        }
        return swaps;
    }

    /**
     * @param blocks of the pack
     * @return the place from which the block in each place would come
     */
    public List<Integer> from(int blocks) {
        List<Integer> from =
                new ArrayList<>(IntStream.rangeClosed(1, blocks).boxed().toList());
        swaps.forEach(swap -> Collections.swap(from, swap.tapped() - 1, swap.other() - 1));
        return from;
    }

    public boolean canMove() {
        return elsewhere.first() != tap.first();
    }
}
