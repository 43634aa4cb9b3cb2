package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
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
        return new TapRelief(tap, overlaps ? tap : mirrored, swaps(tap, blocks));
    }

    private static List<Swap> swaps(Tap tap, int blocks) {
        double middle = (tap.first() + tap.last()) / 2.0;
        List<Integer> spared = IntStream.rangeClosed(1, blocks)
                .filter(block -> !tap.feedsFrom(block))
                .boxed()
                .sorted(Comparator.comparing((Integer block) -> -Math.abs(block - middle)))
                .toList();
        List<Swap> swaps = new ArrayList<>();
        for (int block = tap.first(); block <= tap.last() && swaps.size() < spared.size(); block++) {
            swaps.add(new Swap(block, spared.get(swaps.size())));
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
