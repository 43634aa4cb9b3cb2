package org.ostendum.core.plan.room;

import java.time.Instant;

/**
 * Care that falls due.
 *
 * @param minutes of a person
 * @param takes minutes on the charger, for an equalising charge; for a test that empties the battery on the bench its minutes in
 *     all, more than {@code minutes}; 0 for other care
 */
public record Due(Task what, Instant from, Instant until, int minutes, int takes) {
    /** @return whether it is emptied on the bench, which goes on by itself once a person has begun it */
    public boolean isOnBench() {
        return what == Task.TEST && takes > minutes;
    }
}
