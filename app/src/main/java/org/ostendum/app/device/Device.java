package org.ostendum.app.device;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.device.Address;

/**
 * A device that can be heard.
 *
 * @param host of its line, with {@code port}
 * @param chargerId for a charger
 * @param batteryId for a battery's tag
 * @param roomId for what belongs to a room
 * @param name how the site calls what it belongs to
 */
public record Device(
        long id,
        Kind kind,
        String host,
        int port,
        Address address,
        @Nullable Long chargerId,
        @Nullable Long batteryId,
        @Nullable Long roomId,
        String name) {
    public enum Kind {
        CHARGER,
        TAG,
        AIR,
        CART,
        LOAD_BANK
    }

    public String line() {
        return host + ":" + port;
    }
}
