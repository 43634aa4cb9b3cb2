package org.ostendum.app.inventory;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CellLayout;

/**
 * One battery of the site and where it is.
 *
 * @param ownLayout how its blocks stand where they do not stand as its model's; null where they do
 * @param slotId the slot it stands in, null when in a machine or elsewhere
 * @param machineId the machine it is in, null when it stands
 * @param place in the words of the site: "Stand A 3", "F3", null when nobody knows
 * @param roomId the room it is drawn in, null when in none
 * @param roomCode its code, null when in none
 * @param waterOwner name of the one person who waters it, null when nobody
 */
public record Battery(
        long id,
        String code,
        String serial,
        StoredModel type,
        @Nullable CellLayout ownLayout,
        @Nullable LocalDate madeOn,
        LocalDate inServiceOn,
        @Nullable Long slotId,
        @Nullable Long machineId,
        @Nullable String machineCode,
        @Nullable String place,
        @Nullable Long roomId,
        @Nullable String roomCode,
        @Nullable Long waterOwnerId,
        @Nullable String waterOwner) {
    /** @return how its cells stand: what every drawing of it is drawn from */
    public CellLayout layout() {
        return ownLayout == null ? type.model().layout() : ownLayout;
    }

    public boolean hasOwnLayout() {
        return ownLayout != null;
    }
}
