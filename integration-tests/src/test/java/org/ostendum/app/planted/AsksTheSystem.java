package org.ostendum.app.planted;

import java.time.Instant;
import org.ostendum.app.plantedother.Other;

/** Also one half of a circle. */
public final class AsksTheSystem {
    private final Other other;

    public AsksTheSystem(Other other) {
        this.other = other;
    }

    Instant when() {
        return other.earlier(Instant.now());
    }
}
