package org.ostendum.core.measure;

/** Why the gravities of a round are kept out of judgement and trends. */
public enum Doubt {
    /** Water floats on top until a charge has mixed it: gravity reads low. */
    AFTER_WATER,
    /** Bubbles still lift the float. */
    GASSING,
    TOO_COLD,
    TOO_HOT
}
