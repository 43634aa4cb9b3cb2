package org.ostendum.app.inventory;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CellLayout;

/**
 * One battery of the site and where it is.
 *
 * @param ownLayout how its blocks stand where they do not stand as its model's; null where they do
 * @param waterer the one person who waters it, null when nobody
 */
public record Battery(
        long id,
        String code,
        String serial,
        StoredModel type,
        @Nullable CellLayout ownLayout,
        @Nullable LocalDate madeOn,
        LocalDate inServiceOn,
        Whereabouts where,
        @Nullable Waterer waterer) {

    /** Who waters it. */
    public record Waterer(long id, String name) {}

    public @Nullable Long slotId() {
        return where.slotId();
    }

    public @Nullable Long machineId() {
        return where.machineId();
    }

    public @Nullable String machineCode() {
        return where.machineCode();
    }

    public @Nullable String place() {
        return where.place();
    }

    public @Nullable Long roomId() {
        return where.roomId();
    }

    public @Nullable String roomCode() {
        return where.roomCode();
    }

    public @Nullable Long waterOwnerId() {
        return waterer == null ? null : (Long) waterer.id();
    }

    /** @return name of the one person who waters it, null when nobody */
    public @Nullable String waterOwner() {
        return waterer == null ? null : waterer.name();
    }

    /** @return how its cells stand: what every drawing of it is drawn from */
    public CellLayout layout() {
        return ownLayout == null ? type.model().layout() : ownLayout;
    }

    public boolean hasOwnLayout() {
        return ownLayout != null;
    }
}
