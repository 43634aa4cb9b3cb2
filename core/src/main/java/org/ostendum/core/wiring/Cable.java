package org.ostendum.core.wiring;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A cable of a pack as it is meant to run.
 *
 * @param number as it is marked on the drawing, such as {@code 3}, {@code M+}, {@code T1+} or {@code S1}
 * @param to null for the lead of a tap or a sense lead: it leaves the pack
 */
public record Cable(String number, Kind kind, Post from, @Nullable Post to) {
    /** What a cable is for. */
    public enum Kind {
        /** From the pack's end to the plug. */
        MAIN,
        /** From one block to the next. */
        LINK,
        /** To something of lower voltage, such as lights. */
        TAP,
        /** To the controller or the charger, which reads the volts of its post. */
        SENSE
    }

    /** @return whether it is a thin lead that leaves the pack, and carries none of its current */
    public boolean isLead() {
        return to == null;
    }

    public boolean isAt(Post post) {
        return from.equals(post) || post.equals(to);
    }

    /** @return posts of blocks that it sits on, one or two */
    public List<Post> posts() {
        return Stream.concat(Stream.of(from), Stream.ofNullable(to))
                .filter(post -> !post.isPlug())
                .toList();
    }
}
