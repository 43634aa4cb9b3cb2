package org.ostendum.core.wiring;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Volts;

/**
 * The voltage of every post within the piece that it is connected to. Between pieces there is no circuit, so no voltage that could drive
 * a current. Blocks are ideal sources, cables have none: Kirchhoff's voltage law.
 */
public final class Potentials {
    /** Volts of a full cell at rest. Source: Vinal, SG + 0.845 at 1.280, rounded. */
    public static final double VOLTS_PER_CELL = 2.12;
    /** A fresh battery's short-circuit current as a multiple of its rated Ah. Rule of thumb, 10 to 20. */
    static final int SHORT_CIRCUIT_FACTOR = 12;

    private static final double SAME = 1e-6;
    private static final int NO_PIECE = -1;

    private final Wiring wiring;
    private final double[] blockVolts;
    private final int posts;
    private final int[] piece;
    private final double[] volts;
    private final List<Post> shorted = new ArrayList<>();
    private int pieces;

    private Potentials(Wiring wiring, double[] blockVolts) {
        this.wiring = wiring;
        this.blockVolts = blockVolts;
        this.posts = 2 * wiring.pack().blocks() + 2;
        this.piece = new int[posts];
        this.volts = new double[posts];
        Arrays.fill(piece, NO_PIECE);
        spread();
    }

    /** With every block full and at rest. */
    public static Potentials of(Wiring wiring) {
        double[] each = new double[wiring.pack().blocks()];
        Arrays.fill(each, VOLTS_PER_CELL * wiring.pack().layout().cellsPerCase());
        return new Potentials(wiring, each);
    }

    /** @param blockVolts volts of each block in the order of the path, as its own plus stands against its minus */
    public static Potentials of(Wiring wiring, List<Volts> blockVolts) {
        return new Potentials(
                wiring, blockVolts.stream().mapToDouble(Volts::volts).toArray());
    }

    private record Edge(int to, double rise) {}

    private void spread() {
        List<List<Edge>> edges = edges();
        for (int start = 0; start < posts; start++) {
            if (piece[start] == NO_PIECE && exists(start)) {
                piece[start] = pieces;
                from(start, edges);
                pieces++;
            }
        }
    }

    private void from(int start, List<List<Edge>> edges) {
        Deque<Integer> open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty()) {
            int at = open.poll();
            for (Edge edge : edges.get(at)) {
                if (piece[edge.to()] == NO_PIECE) {
                    piece[edge.to()] = piece[at];
                    volts[edge.to()] = volts[at] + edge.rise();
                    open.add(edge.to());
                } else if (Math.abs(volts[at] + edge.rise() - volts[edge.to()]) > SAME) {
                    shorted.add(post(edge.to()));
                }
            }
        }
    }

    private List<List<Edge>> edges() {
        List<List<Edge>> edges = new ArrayList<>();
        for (int i = 0; i < posts; i++) {
            edges.add(new ArrayList<>(3));
        }
        for (int block = 1; block <= wiring.pack().blocks(); block++) {
            if (wiring.facing(block) != 0) {
                double rise = wiring.facing(block) * blockVolts[block - 1];
                join(edges, index(new Post(block, false)), index(new Post(block, true)), rise);
            }
        }
        for (Map.Entry<String, Wiring.Ends> cable : wiring.on().entrySet()) {
            if (cable.getValue().to() != null && wiring.conducts(cable.getKey())) {
                join(
                        edges,
                        index(cable.getValue().from()),
                        index(cable.getValue().to()),
                        0);
            }
        }
        return edges;
    }

    private static void join(List<List<Edge>> edges, int one, int other, double rise) {
        edges.get(one).add(new Edge(other, rise));
        edges.get(other).add(new Edge(one, -rise));
    }

    private static int index(Post post) {
        return 2 * post.place() + (post.positive() ? 0 : 1);
    }

    private static Post post(int index) {
        return new Post(index / 2, index % 2 == 0);
    }

    private boolean exists(int index) {
        Post post = post(index);
        return post.isPlug() || wiring.facing(post.place()) != 0;
    }

    /** @return volts of one post against another; empty where nothing connects them */
    public Optional<Volts> between(Post one, Post other) {
        int a = index(one);
        int b = index(other);
        return piece[a] == NO_PIECE || piece[a] != piece[b]
                ? Optional.empty()
                : Optional.of(Volts.of(volts[a] - volts[b]));
    }

    /** @return posts at which a ring closes that blocks drive a current through; none in a pack that may be touched */
    public List<Post> shorted() {
        return List.copyOf(shorted);
    }

    /** @return the connected pieces that anything live belongs to, each as its posts */
    public List<List<Post>> livePieces() {
        List<List<Post>> live = new ArrayList<>();
        for (int p = 0; p < pieces; p++) {
            List<Post> members = new ArrayList<>();
            for (int i = 0; i < posts; i++) {
                if (piece[i] == p) {
                    members.add(post(i));
                }
            }
            if (members.stream().anyMatch(m -> !m.isPlug())) {
                live.add(members);
            }
        }
        return live;
    }

    /** @return volts of a post against the lowest of its piece; 0 for one of a block that is out */
    public Volts above(Post post) {
        int at = index(post);
        double lowest = 0;
        boolean any = false;
        for (int i = 0; i < posts; i++) {
            if (piece[at] != NO_PIECE && piece[i] == piece[at]) {
                lowest = any ? Math.min(lowest, volts[i]) : volts[i];
                any = true;
            }
        }
        return Volts.of(any ? volts[at] - lowest : 0);
    }

    /** Volts of the highest reach, for orders to be compared by. */
    double highest() {
        int[] ends = ends();
        return volts[ends[0]] - volts[ends[1]];
    }

    /**
     * @param capacity of one block
     * @return the highest voltage between bare posts; between one post and itself where none can be bridged
     */
    public Reach reach(AmpHours capacity) {
        int[] ends = ends();
        double most = volts[ends[0]] - volts[ends[1]];
        return new Reach(
                Volts.of(most),
                post(ends[0]),
                post(ends[1]),
                most < SAME ? 0 : (int) Math.round(capacity.ampHours() * SHORT_CIRCUIT_FACTOR));
    }

    private int[] ends() {
        int[] high = new int[pieces];
        int[] low = new int[pieces];
        Arrays.fill(high, NO_PIECE);
        Arrays.fill(low, NO_PIECE);
        int[] best = {0, 0};
        for (int i = 0; i < posts; i++) {
            int p = piece[i];
            if (p == NO_PIECE || !wiring.isBare(post(i))) {
                continue;
            }
            high[p] = high[p] == NO_PIECE || volts[i] > volts[high[p]] ? i : high[p];
            low[p] = low[p] == NO_PIECE || volts[i] < volts[low[p]] ? i : low[p];
            if (volts[high[p]] - volts[low[p]] > volts[best[0]] - volts[best[1]] + SAME) {
                best = new int[] {high[p], low[p]};
            }
        }
        return best;
    }
}
