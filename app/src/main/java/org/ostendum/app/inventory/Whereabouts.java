package org.ostendum.app.inventory;

import org.jspecify.annotations.Nullable;

/**
 * Where a battery is.
 *
 * @param slotId the slot it stands in, null when in a machine or elsewhere
 * @param machineId the machine it is in, null when it stands
 * @param machineCode its code, null when it stands
 * @param place in the words of the site: "Stand A 3", "F3", null when nobody knows
 * @param roomId the room it is drawn in, null when in none
 * @param roomCode its code, null when in none
 */
public record Whereabouts(
        @Nullable Long slotId,
        @Nullable Long machineId,
        @Nullable String machineCode,
        @Nullable String place,
        @Nullable Long roomId,
        @Nullable String roomCode) {}
