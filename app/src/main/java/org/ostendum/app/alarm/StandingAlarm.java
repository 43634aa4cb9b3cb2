package org.ostendum.app.alarm;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.judge.Message;

/**
 * An alarm on record.
 *
 * @param about code of the charger, battery or room
 * @param clearedAt when its cause was gone; null while it stands
 * @param acknowledgedAt null while nobody has
 * @param done what he who acknowledged it did; null where he has not said
 */
public record StandingAlarm(
        long id,
        AlarmKind kind,
        String about,
        @Nullable Long batteryId,
        @Nullable Long chargerId,
        @Nullable Long roomId,
        Message sentence,
        Instant raisedAt,
        @Nullable Instant clearedAt,
        @Nullable Instant acknowledgedAt,
        @Nullable String acknowledgedBy,
        @Nullable String done) {
    public boolean stands() {
        return clearedAt == null;
    }

    public boolean isAcknowledged() {
        return acknowledgedAt != null;
    }

    public String key() {
        return kind + " " + about;
    }
}
