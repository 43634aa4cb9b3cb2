package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * The best order of taking a pack apart, by going through all of them. What is compared is the time spent at the highest reachable
 * voltage, then at the next lower one, and so on; that is additive and keeps its order when both sides grow alike, so that the best way
 * to a set of cables is part of the best way through it (Bellman), and every set is looked at once.
 */
final class LeastOrder {
    private static final int[] NONE = {};
    private static final int ALWAYS = -1;
    private static final int NOWHERE = -1;

    private final List<Cable> cables;
    private final Pack pack;
    private final int levels;
    /** By post of the path: cables of which one is off or worked on when it is bare; all of them where nothing covers it. */
    private final int[] baredBy;
    /** By gap of the path, the plug's at either end: the cable that bridges it. */
    private final int[] bridgedBy;

    private final int[][] best;
    private final int[] last;

    private LeastOrder(Pack pack) {
        this.pack = pack;
        this.cables = pack.cables();
        this.levels = pack.blocks() + 1;
        this.baredBy = new int[2 * pack.blocks()];
        this.bridgedBy = new int[pack.blocks() + 1];
        int sets = 1 << cables.size();
        this.best = new int[sets][];
        this.last = new int[sets];
        layOut();
    }

    private void layOut() {
        for (int at = 0; at < baredBy.length; at++) {
            Post post = new Post(at / 2 + 1, at % 2 == 0);
            for (int i = 0; i < cables.size(); i++) {
                baredBy[at] |= !pack.isShrouded(post) ? ALWAYS : cables.get(i).isAt(post) ? 1 << i : 0;
            }
        }
        Optional<Cable> switched = pack.switched();
        for (int i = 0; i < cables.size(); i++) {
            Cable cable = cables.get(i);
            boolean parted = switched.isPresent() && switched.get().equals(cable);
            if (!cable.isLead() && !parted) {
                bridgedBy[cable.from().isPlug() ? 0 : cable.from().place()] = 1 << i;
            }
        }
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
        spent[level(off, off | (1 << cable))] +=
                (int) WorkOrder.takes(cables.get(cable)).toMinutes();
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

    /**
     * The potential falls by one with each block along the path, so that in a piece the first bare post and the last are farthest apart.
     *
     * @param off cables that are off
     * @param open those and the one that is worked on
     * @return by how many blocks' volts the farthest bare posts of a piece differ
     */
    private int level(int off, int open) {
        int most = 0;
        // Of the plug's contact, which nothing covers.
        int first = joined(0, off) ? 0 : NOWHERE;
        for (int at = 0; at < baredBy.length; at++) {
            int block = at / 2;
            if (at % 2 == 0 && at > 0 && !joined(block, off)) {
                first = NOWHERE;
            }
            if (baredBy[at] == ALWAYS || (baredBy[at] & open) != 0) {
                int potential = block + at % 2;
                first = first == NOWHERE ? potential : first;
                most = Math.max(most, potential - first);
            }
        }
        boolean plugIsLive = joined(pack.blocks(), off) && first != NOWHERE;
        return plugIsLive ? Math.max(most, pack.blocks() - first) : most;
    }

    private boolean joined(int gap, int off) {
        return bridgedBy[gap] != 0 && (off & bridgedBy[gap]) == 0;
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
