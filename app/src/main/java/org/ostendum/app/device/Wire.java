package org.ostendum.app.device;

import java.util.concurrent.CompletionStage;
import org.ostendum.core.device.Address;

/** The way to devices. Real equipment and stand-ins answer the same; another protocol would be another implementation. */
public interface Wire {
    /**
     * @param words to be read from {@code address} on
     * @return the words as they came; failed where nothing answered in time
     */
    CompletionStage<int[]> read(String host, int port, Address address, int words);

    /** A device answered, but that there is nothing at this address: the line itself is sound. */
    final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1;

        Refused(Throwable cause) {
            super(cause);
        }
    }

    /** @return whether the line has answered and only this device has not */
    static boolean isRefusal(Throwable failure) {
        return failure instanceof Refused || (failure.getCause() != null && isRefusal(failure.getCause()));
    }

    /** @return failed where nothing answered in time, or the device refused */
    CompletionStage<Void> write(String host, int port, Address address, int[] words);
}
