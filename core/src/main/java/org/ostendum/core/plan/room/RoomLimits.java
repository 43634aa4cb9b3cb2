package org.ostendum.core.plan.room;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What the room bears.
 *
 * @param kwMost of all chargers together; null for no limit
 * @param litresPerHourMost of hydrogen of all chargers together; null for no limit
 * @param airs litres of hydrogen an hour that each air carries off, by its name; one that is not named has no limit of its own
 * @param kwReached the most that the meter has shown since it was read for a bill, which is paid anyhow; 0 where nobody knows
 */
public record RoomLimits(
        @Nullable Double kwMost, @Nullable Double litresPerHourMost, Map<String, Double> airs, double kwReached) {
    public static final RoomLimits UNLIMITED = new RoomLimits(null, null);

    public RoomLimits {
        airs = Collections.unmodifiableMap(new LinkedHashMap<>(airs));
    }

    /** One with one air. */
    public RoomLimits(@Nullable Double kwMost, @Nullable Double litresPerHourMost) {
        this(kwMost, litresPerHourMost, Map.of());
    }

    public RoomLimits(@Nullable Double kwMost, @Nullable Double litresPerHourMost, Map<String, Double> airs) {
        this(kwMost, litresPerHourMost, airs, 0);
    }

    /** @return the same where the meter has shown so much already */
    public RoomLimits reached(double kilowatts) {
        return new RoomLimits(kwMost, litresPerHourMost, airs, kilowatts);
    }
}
