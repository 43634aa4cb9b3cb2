package org.ostendum.core.wiring;

/**
 * Blocks from which something of lower voltage is fed. Its leads hang on the positive post of the first and the negative post of the
 * last.
 *
 * @param name what it feeds
 * @param first number of a block along the path
 * @param last not before {@code first}
 */
public record Tap(String name, int first, int last) {
    public Tap {
        if (first < 1 || last < first) {
            throw new IllegalArgumentException("A tap over blocks " + first + " to " + last);
        }
    }

    public boolean feedsFrom(int block) {
        return block >= first && block <= last;
    }
}
