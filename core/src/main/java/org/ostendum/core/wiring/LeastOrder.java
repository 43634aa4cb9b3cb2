package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * The best order of taking a pack apart, by going through all of them. What is compared is the time spent at the highest reachable
 * voltage, then at the next lower one, and so on; that is additive and keeps its order when both sides grow alike, so that the best way
 * to a set of cables is part of the best way through it (Bellman), and every set is looked at once.
 */
final class LeastOrder {
    private static final int[] NONE = {};

    private final List<Cable> cables;
    private final Pack pack;
    private final int levels;
    private final int[] levelOf;
    private final int[][] best;
    private final int[] last;

    private LeastOrder(Pack pack) {
        this.pack = pack;
        this.cables = pack.cables();
        this.levels = pack.blocks() + 1;
        int sets = 1 << cables.size();
        this.levelOf = new int[sets];
        this.best = new int[sets][];
        this.last = new int[sets];
    }

    static List<Cable> of(Pack pack) {
        LeastOrder search = new LeastOrder(pack);
        search.run();
        return search.order();
    }

    /** Sets of cables that are off: each is larger than those it can be reached from. */
    private void run() {
        best[0] = new int[levels];
        for (int off = 0; off < best.length; off++) {
            levelOf[off] = level(off);
            for (int i = 0; i < cables.size(); i++) {
                if ((off & (1 << i)) == 0) {
                    offer(off | (1 << i), i, spent(off, i));
                }
            }
            best[off] = off == best.length - 1 ? best[off] : NONE;
        }
    }

    private void offer(int set, int cable, int[] spent) {
        if (best[set] == null || compare(spent, best[set]) < 0) {
            best[set] = spent;
            last[set] = cable;
        }
    }

    private int[] spent(int off, int cable) {
        int[] spent = Arrays.copyOf(best[off], levels);
        spent[levelOf[off]] += (int) WorkOrder.takes(cables.get(cable)).toMinutes();
        return spent;
    }

    private static int compare(int[] one, int[] other) {
        for (int level = one.length - 1; level >= 0; level--) {
            if (one[level] != other[level]) {
                return Integer.compare(one[level], other[level]);
            }
        }
        return 0;
    }

    /** @return the longest run of blocks that still hang together */
    private int level(int off) {
        int longest = 1;
        int run = 1;
        for (int i = 0; i < cables.size(); i++) {
            if (cables.get(i).kind() == Cable.Kind.LINK) {
                run = (off & (1 << i)) == 0 ? run + 1 : 1;
                longest = Math.max(longest, run);
            }
        }
        return Math.min(longest, pack.blocks());
    }

    private List<Cable> order() {
        List<Cable> order = new ArrayList<>();
        for (int set = best.length - 1; set > 0; set &= ~(1 << last[set])) {
            order.add(cables.get(last[set]));
        }
        Collections.reverse(order);
        return order;
    }
}
