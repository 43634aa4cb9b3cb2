package org.ostendum.core.battery;

/** A text that is no layout: what is wrong, and the piece of the text it is wrong at. */
public final class LayoutFault extends IllegalArgumentException {
    /** What is wrong. */
    public enum Kind {
        /** A place is neither a number, nor a number with an arrow, nor a point. */
        NOT_A_PLACE,
        /** A block without the arrow from its positive to its negative post. */
        NO_FACING,
        /** More than 12 rows or 12 places in a row. */
        TOO_LARGE,
        /** A number that occurs twice. */
        TWICE,
        /** A number left out. */
        MISSING
    }

    private final Kind kind;
    private final String piece;

    LayoutFault(Kind kind, String piece) {
        super(kind + " at " + piece);
        this.kind = kind;
        this.piece = piece;
    }

    public Kind kind() {
        return kind;
    }

    public String piece() {
        return piece;
    }
}
