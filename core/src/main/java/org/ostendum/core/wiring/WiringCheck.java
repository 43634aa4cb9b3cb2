package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.wiring.Wiring.Ends;
import org.ostendum.core.wiring.WiringFault.Kind;

/** Everything in which a wiring differs from the drawing, each named and placed. Practice {@code pack.polarity}. */
public final class WiringCheck {
    private final Wiring wiring;
    private final List<WiringFault> faults = new ArrayList<>();

    private WiringCheck(Wiring wiring) {
        this.wiring = wiring;
    }

    /** @return none for a pack that is whole and right */
    public static List<WiringFault> faults(Wiring wiring) {
        WiringCheck check = new WiringCheck(wiring);
        check.blocks();
        wiring.pack().cables().forEach(check::cable);
        check.ring();
        return List.copyOf(check.faults);
    }

    private void blocks() {
        for (int block = 1; block <= wiring.pack().blocks(); block++) {
            if (wiring.facing(block) == 0) {
                add(Kind.BLOCK_OUT, block, null, Message.of("wiring.block-out", block));
            } else if (wiring.facing(block) < 0) {
                add(Kind.BLOCK_TURNED, block, null, Message.of("wiring.block-turned", block));
            }
        }
    }

    private void cable(Cable cable) {
        Optional<Ends> is = wiring.ends(cable.number());
        if (is.isEmpty()) {
            add(
                    Kind.CABLE_MISSING,
                    null,
                    cable.number(),
                    Message.of("wiring.cable-missing", cable.number(), where(cable)));
            return;
        }
        if (!sits(cable, is.get())) {
            Kind kind = cable.isLead() ? Kind.TAP_ASTRAY : Kind.CABLE_ASTRAY;
            add(
                    kind,
                    null,
                    cable.number(),
                    Message.of("wiring.cable-astray", cable.number(), where(is.get()), where(cable)));
        }
        if (joinsLike(is.get())) {
            add(
                    Kind.LIKE_POLES,
                    null,
                    cable.number(),
                    Message.of("wiring.like-poles", cable.number(), where(is.get())));
        }
    }

    /** A cable has no direction. */
    private static boolean sits(Cable cable, Ends ends) {
        boolean asDrawn = ends.from().equals(cable.from()) && equal(ends.to(), cable.to());
        boolean swapped = equal(ends.to(), cable.from()) && equal(ends.from(), cable.to());
        return asDrawn || swapped;
    }

    private static boolean equal(@Nullable Post one, @Nullable Post other) {
        return one == null ? other == null : one.equals(other);
    }

    private boolean joinsLike(Ends ends) {
        Post to = ends.to();
        if (to == null || ends.from().isPlug() || to.isPlug()) {
            return false;
        }
        return plus(ends.from()) == plus(to);
    }

    /** Whether a plus stands there by now, whatever the drawing says. */
    private boolean plus(Post post) {
        return post.positive() == wiring.facing(post.place()) > 0;
    }

    private void ring() {
        List<Post> shorted = Potentials.of(wiring).shorted();
        if (!shorted.isEmpty()) {
            add(
                    Kind.RING,
                    shorted.get(0).place(),
                    null,
                    Message.of("wiring.ring", shorted.get(0).text()));
        }
    }

    private static String where(Cable cable) {
        return where(new Ends(cable.from(), cable.to()));
    }

    private static String where(Ends ends) {
        Post to = ends.to();
        return to == null ? ends.from().text() : ends.from().text() + " – " + to.text();
    }

    private void add(Kind kind, @Nullable Integer block, @Nullable String cable, Message sentence) {
        faults.add(new WiringFault(kind, block, cable, sentence));
    }
}
