package org.ostendum.app.plantedother;

import java.time.Instant;
import org.ostendum.app.planted.AsksTheSystem;

/** The other half of a circle. */
public final class Other {
    private final AsksTheSystem asks;

    public Other(AsksTheSystem asks) {
        this.asks = asks;
    }

    public Instant earlier(Instant than) {
        return than.minusSeconds(asks.hashCode() & 7);
    }
}
