package org.ostendum.app.job;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.procedure.Run.Status;

/**
 * A job under way or ended.
 *
 * @param text the procedure it is run by, as it was when it was begun
 * @param endedAt null while under way
 */
public record Job(
        long id,
        String procedureId,
        String text,
        Subject subject,
        Charging charging,
        Instant begunAt,
        String begunBy,
        Status status,
        @Nullable Instant endedAt) {
    /**
     * What it is done on.
     *
     * @param battery code of the battery, null for a job on the room
     * @param machine code of the machine it is issued to or found in, null for none
     */
    public record Subject(
            long roomId,
            @Nullable Long batteryId,
            @Nullable String battery,
            @Nullable Long machineId,
            @Nullable String machine) {}

    /**
     * The charge it puts on.
     *
     * @param chargerId null for none
     * @param kind what for; null where it does not charge
     */
    public record Charging(@Nullable Long chargerId, @Nullable String charger, @Nullable ChargeKind kind) {}

    public boolean isOpen() {
        return endedAt == null;
    }

    public long roomId() {
        return subject.roomId();
    }

    public @Nullable Long batteryId() {
        return subject.batteryId();
    }

    public @Nullable String battery() {
        return subject.battery();
    }

    public @Nullable Long machineId() {
        return subject.machineId();
    }

    public @Nullable String machine() {
        return subject.machine();
    }

    public @Nullable Long chargerId() {
        return charging.chargerId();
    }

    public @Nullable String charger() {
        return charging.charger();
    }

    public @Nullable ChargeKind chargeKind() {
        return charging.kind();
    }
}
