package org.ostendum.app.draw;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.wiring.Cable;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Post;
import org.ostendum.core.wiring.Potentials;
import org.ostendum.core.wiring.Wiring;

/**
 * A pack as it is wired at one moment, ready to be put into SVG: each cable on or off, each post with its volts above the lowest that
 * hangs together with it.
 *
 * @param ground the pack's drawing
 * @param inCables switches and fuses
 * @param shrouds outline of all that are on their posts; empty for none
 */
public record WiringDrawing(
        BatteryDrawing ground,
        List<BlockBox> blocks,
        List<CableLine> cables,
        List<PostMark> posts,
        List<InCable> inCables,
        String shrouds) {
    private static final double WIDTH = 840;
    private static final double HEIGHT = 430;
    private static final double TAP_LENGTH = 30;
    /** A sense lead leaves its post aslant, clear of a tap's. */
    private static final double BESIDE_TAP = 52;

    private static final double ABOVE_POST = 13;
    private static final double SWITCH_BELOW = 26;
    private static final double SHROUD = 13;

    /** A block with the number it has along the path. */
    public record BlockBox(int number, Box box, boolean out) {}

    /**
     * A cable.
     *
     * @param look {@code on}, {@code off}, or {@code now} for the one that is worked on
     * @param points of its line
     * @param label where its number stands
     */
    public record CableLine(String number, String look, String kind, String points, Point label) {}

    /**
     * A switch or a fuse.
     *
     * @param isSwitch whether it is the main switch
     * @param off whether it is off, or the fuse's cable
     */
    public record InCable(Point at, boolean isSwitch, boolean off) {}

    /**
     * A post.
     *
     * @param volts above the lowest it hangs together with; null where nothing is live
     */
    public record PostMark(Point at, boolean positive, @Nullable String volts, Point label, boolean high) {}

    /** @param now number of the cable that is worked on; null for none */
    public static WiringDrawing of(Wiring wiring, boolean cablesLeft, @Nullable String now) {
        Pack pack = wiring.pack();
        BatteryDrawing ground = BatteryPlotter.plot(pack.layout(), cablesLeft, WIDTH, HEIGHT);
        List<BlockBox> blocks = new ArrayList<>();
        for (int block = 1; block <= pack.blocks(); block++) {
            blocks.add(new BlockBox(block, ground.caseBoxes().get(block - 1), wiring.facing(block) == 0));
        }
        List<CableLine> cables = pack.cables().stream()
                .map(cable -> line(cable, ground, look(cable, wiring, now)))
                .toList();
        return new WiringDrawing(
                ground, blocks, cables, posts(wiring, ground), inCables(wiring, cables), shrouds(wiring, ground));
    }

    /** Beside the number of the cable that each sits in. */
    private static List<InCable> inCables(Wiring wiring, List<CableLine> cables) {
        List<InCable> marks = new ArrayList<>();
        for (Fitting fitting : wiring.pack().fittings()) {
            for (CableLine cable : cables) {
                if (fitting.kind().isInCable() && fitting.at().equals(cable.number())) {
                    boolean isSwitch = fitting.kind() == Fitting.Kind.MAIN_SWITCH;
                    boolean off =
                            isSwitch ? wiring.isSwitchedOff() : cable.look().equals("off");
                    marks.add(
                            new InCable(cable.label().plus(0, isSwitch ? SWITCH_BELOW : -SWITCH_BELOW), isSwitch, off));
                }
            }
        }
        return marks;
    }

    private static String shrouds(Wiring wiring, BatteryDrawing ground) {
        List<Point> covered = new ArrayList<>();
        for (int block = 1; block <= wiring.pack().blocks(); block++) {
            for (Post post : List.of(new Post(block, true), new Post(block, false))) {
                if (!wiring.isBare(post)) {
                    covered.add(at(ground, post));
                }
            }
        }
        return Strokes.circles(covered, SHROUD);
    }

    private static String look(Cable cable, Wiring wiring, @Nullable String now) {
        if (cable.number().equals(now)) {
            return "now";
        }
        return wiring.ends(cable.number()).isPresent() ? "on" : "off";
    }

    private static CableLine line(Cable cable, BatteryDrawing ground, String look) {
        String kind = cable.kind().name().toLowerCase(Locale.ROOT);
        if (cable.kind() == Cable.Kind.MAIN) {
            boolean plus = cable.from().isPlug();
            Point end = at(ground, plus ? cable.to() : cable.from());
            String points = plus ? ground.plusCable() : ground.minusCable();
            return new CableLine(cable.number(), look, plus ? "plus" : "minus", points, end.plus(plus ? -24 : 24, 18));
        }
        if (cable.isLead()) {
            Point from = at(ground, cable.from());
            Point to = from.plus(cable.kind() == Cable.Kind.SENSE ? BESIDE_TAP : 0, TAP_LENGTH);
            return new CableLine(cable.number(), look, kind, Strokes.polyline(List.of(from, to)), to.plus(0, 16));
        }
        List<Point> strap = ground.straps().get(cable.from().place() - 1);
        return new CableLine(cable.number(), look, kind, Strokes.polyline(strap), middle(strap));
    }

    private static Point middle(List<Point> line) {
        Point one = line.get((line.size() - 1) / 2);
        Point other = line.get(line.size() / 2);
        return new Point((one.x() + other.x()) / 2, (one.y() + other.y()) / 2);
    }

    private static Point at(BatteryDrawing ground, @Nullable Post post) {
        if (post == null) {
            throw new IllegalArgumentException("A cable without an end");
        }
        return ground.posts()
                .get(2 * (post.place() - 1) + (post.positive() ? 0 : 1))
                .at();
    }

    private static List<PostMark> posts(Wiring wiring, BatteryDrawing ground) {
        Potentials potentials = Potentials.of(wiring);
        double highest = potentials.livePieces().stream()
                .flatMap(List::stream)
                .mapToDouble(post -> potentials.above(post).volts())
                .max()
                .orElse(0);
        List<PostMark> marks = new ArrayList<>();
        for (int block = 1; block <= wiring.pack().blocks(); block++) {
            for (boolean positive : new boolean[] {true, false}) {
                Post post = new Post(block, positive);
                double volts = potentials.above(post).volts();
                Point at = at(ground, post);
                boolean isOut = wiring.facing(block) == 0;
                marks.add(new PostMark(
                        at,
                        positive == wiring.facing(block) >= 0,
                        isOut ? null : String.format(Locale.ROOT, "%.0f", volts),
                        at.plus(positive == isLeftward(ground, block) ? -16 : 16, -ABOVE_POST),
                        highest > 0 && volts >= highest - 0.01));
            }
        }
        return marks;
    }

    /** Whether the plus of a block stands at its right hand. */
    private static boolean isLeftward(BatteryDrawing ground, int block) {
        return at(ground, new Post(block, true)).x()
                > at(ground, new Post(block, false)).x();
    }
}
