package org.ostendum.core.safety;

/** What a job is done in. Source: {@code safety.ppe}; 29 CFR 1926.441. */
public enum Dress {
    GLASSES,
    GOGGLES,
    FACE_SHIELD,
    WORK_GLOVES,
    ACID_GLOVES,
    APRON,
    SAFETY_SHOES,
    /** No rings, watches or metal in pockets. */
    NO_METAL
}
