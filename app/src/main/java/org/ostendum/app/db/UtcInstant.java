package org.ostendum.app.db;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.jooq.impl.AbstractConverter;
import org.jspecify.annotations.Nullable;

/** Moments are stored as date and time in UTC. */
public final class UtcInstant extends AbstractConverter<LocalDateTime, Instant> {
    public UtcInstant() {
        super(LocalDateTime.class, Instant.class);
    }

    @Override
    public @Nullable Instant from(@Nullable LocalDateTime stored) {
        return stored == null ? null : stored.toInstant(ZoneOffset.UTC);
    }

    @Override
    public @Nullable LocalDateTime to(@Nullable Instant instant) {
        return instant == null ? null : LocalDateTime.ofInstant(instant, ZoneOffset.UTC);
    }
}
