package org.ostendum.core.measure;

/** The look of the sample in the hydrometer. */
public enum Colour {
    CLEAR,
    BROWN,
    MILKY,
    PARTICLES
}
