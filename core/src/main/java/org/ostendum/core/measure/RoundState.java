package org.ostendum.core.measure;

/** In which state the battery was when a round was taken; spread and weakness are judged only on a full battery. */
public enum RoundState {
    FULL_CHARGE,
    AFTER_EQUALISE,
    IN_SERVICE,
    REST,
    UNKNOWN;

    /** @return whether the charge before the round was a complete one */
    public boolean isFull() {
        return this == FULL_CHARGE || this == AFTER_EQUALISE;
    }
}
