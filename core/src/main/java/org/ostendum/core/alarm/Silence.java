package org.ostendum.core.alarm;

import java.time.Duration;
import java.util.Optional;

/** A device of which nothing sensible has been heard: what it watches is unwatched. */
public final class Silence {
    /** So long a cable may be out for a moment. */
    public static final Duration PATIENCE = Duration.ofMinutes(1);

    private Silence() {}

    /** @param device how the house calls it */
    public static Optional<Alarm> of(String device, Duration since) {
        return since.compareTo(PATIENCE) < 0
                ? Optional.empty()
                : Optional.of(Alarm.of(AlarmKind.NOT_HEARD, device, device, (int) since.toMinutes()));
    }
}
