package org.ostendum.app.capacity;

import java.util.Optional;
import org.ostendum.app.inventory.Battery;

/** The charge that a test calls for: what has been emptied sulfates while it waits. */
public interface Recharge {
    /**
     * Opens the job, where nothing stands against it and nobody has to look at anything first.
     *
     * @param by the person who made the test
     */
    void open(Battery battery, long by);

    /** @return the job's id, where it is open */
    Optional<Long> openOf(Battery battery);
}
