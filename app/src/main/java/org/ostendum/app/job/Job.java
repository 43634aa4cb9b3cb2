package org.ostendum.app.job;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.procedure.Run.Status;

/**
 * A job under way or ended.
 *
 * @param text the procedure it is run by, as it was when it was begun
 * @param battery code of the battery, null for a job on the room
 * @param machine code of the machine it is issued to or found in, null for none
 * @param endedAt null while under way
 * @param chargerId it charges on; null for none
 * @param chargeKind what for; null where it does not charge
 */
public record Job(
        long id,
        String procedureId,
        String text,
        long roomId,
        @Nullable Long batteryId,
        @Nullable String battery,
        @Nullable Long machineId,
        @Nullable String machine,
        Instant begunAt,
        String begunBy,
        Status status,
        @Nullable Instant endedAt,
        @Nullable Long chargerId,
        @Nullable String charger,
        @Nullable ChargeKind chargeKind) {
    public boolean isOpen() {
        return endedAt == null;
    }
}
