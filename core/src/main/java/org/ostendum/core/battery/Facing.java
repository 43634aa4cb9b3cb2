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

    /** @return the way with plus and minus changed round */
    public Facing turned() {
        return switch (this) {
            case RIGHT -> LEFT;
            case LEFT -> RIGHT;
            case FRONT -> BACK;
            case BACK -> FRONT;
        };
    }

    public char arrow() {
        return arrow;
    }

    public boolean isSideways() {
        return this == RIGHT || this == LEFT;
    }
}
