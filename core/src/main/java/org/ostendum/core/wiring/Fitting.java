package org.ostendum.core.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What sits on a pack beside its blocks, cables and taps. Practices {@code pack.map}, {@code pack.after}.
 *
 * @param at number of a cable for a switch or a fuse, a post as {@code 3+} for a sense lead or a shroud
 */
public record Fitting(Kind kind, String at) {
    /** What can sit on a pack. */
    public enum Kind {
        /** Parts the pack from its plug. */
        MAIN_SWITCH(true),
        FUSE(true),
        /** A thin lead from a post to the controller or the charger, which tells them the volts. */
        SENSE_LEAD(false),
        /** A cover over a post and the lugs on it: what is under it cannot be bridged. */
        SHROUD(false);

        private final boolean inCable;

        Kind(boolean inCable) {
            this.inCable = inCable;
        }

        public boolean isInCable() {
            return inCable;
        }
    }

    public boolean is(Kind other, String place) {
        return kind == other && at.equals(place);
    }

    /** @return everything that a pack of this layout could have on it: only a main lead has a main switch */
    public static List<Fitting> possible(Pack pack) {
        List<Fitting> all = new ArrayList<>();
        for (Cable cable : pack.cables()) {
            if (cable.kind() == Cable.Kind.MAIN) {
                all.add(new Fitting(Kind.MAIN_SWITCH, cable.number()));
            }
            if (!cable.isLead()) {
                all.add(new Fitting(Kind.FUSE, cable.number()));
            }
        }
        for (Kind kind : List.of(Kind.SENSE_LEAD, Kind.SHROUD)) {
            posts(pack).forEach(post -> all.add(new Fitting(kind, post.text())));
        }
        return all;
    }

    private static Stream<Post> posts(Pack pack) {
        return IntStream.rangeClosed(1, pack.blocks())
                .boxed()
                .flatMap(block -> Stream.of(new Post(block, true), new Post(block, false)));
    }
}
