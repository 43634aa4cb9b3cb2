package org.ostendum.app.state;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.core.judge.SharedShift;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** How the batteries of each room have come to read differently together, so that the hydrometer is looked at before any of them. */
@Service
public class RoomShifts {
    /** What another instance has written, and a battery that came from another room, is seen after so long. */
    private static final Duration OTHERS_WRITE = Duration.ofSeconds(30);

    private static final int MOST_ROOMS = 1000;

    private final Batteries batteries;
    private final States states;
    private final HydrometerChecks checks;
    private final Clock clock;
    private final Cache<Long, Known> known = Caffeine.newBuilder()
            .maximumSize(MOST_ROOMS)
            .expireAfterWrite(OTHERS_WRITE)
            .build();
    /** Of rounds, in this instance. */
    private final AtomicLong changes = new AtomicLong();

    RoomShifts(Batteries batteries, States states, HydrometerChecks checks, Clock clock) {
        this.batteries = batteries;
        this.states = states;
        this.checks = checks;
        this.clock = clock;
    }

    /** @param changes that rounds had seen by then */
    private record Known(long changes, Optional<SharedShift> shift) {}

    /**
     * A round was put on record or put right: what was worked out is worked out anew. Who looks before that is committed still sees the
     * rounds of before, and who has written them those that may yet be taken back, so it is told once more at the end.
     */
    void changed() {
        changes.incrementAndGet();
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    changes.incrementAndGet();
                }
            });
        }
    }

    /** @return empty where they read as they did */
    public Optional<SharedShift> of(long room) {
        long now = changes.get();
        Known held = known.getIfPresent(room);
        if (held == null || held.changes() != now) {
            held = new Known(now, among(room));
            known.put(room, held);
        }
        return held.shift();
    }

    private Optional<SharedShift> among(long room) {
        return SharedShift.of(
                states.of(batteries.idsInRoom(room)).values().stream()
                        .map(state -> state.snapshot().course())
                        .toList(),
                checks.rightSince(room).orElse(Instant.EPOCH),
                clock.instant());
    }
}
