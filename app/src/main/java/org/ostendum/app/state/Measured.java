package org.ostendum.app.state;

import java.util.Optional;
import org.ostendum.core.quantity.Celsius;

/** What instruments say at this moment; nothing where none is heard. */
public interface Measured {
    Measured NOTHING = new Measured() {
        @Override
        public Optional<Celsius> battery(long batteryId) {
            return Optional.empty();
        }

        @Override
        public Optional<Celsius> room(long roomId) {
            return Optional.empty();
        }
    };

    /** @return its electrolyte by its tag */
    Optional<Celsius> battery(long batteryId);

    /** @return the air of a room by its sensor */
    Optional<Celsius> room(long roomId);
}
