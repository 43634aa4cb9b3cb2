package org.ostendum.core.battery;

/** The way from a case's positive post to its negative post, as seen from above. */
public enum Facing {
    RIGHT('>'),
    LEFT('<'),
    FRONT('v'),
    BACK('^');

    private final char arrow;

    Facing(char arrow) {
        this.arrow = arrow;
    }

    public char arrow() {
        return arrow;
    }

    public boolean isSideways() {
        return this == RIGHT || this == LEFT;
    }
}
