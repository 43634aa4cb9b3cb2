package org.ostendum.app.state;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.judge.SharedShift;
import org.springframework.stereotype.Service;

/** How the batteries of each room have come to read differently together, so that the hydrometer is looked at before any of them. */
@Service
public class RoomShifts {
    /** What another instance has written is seen after so long. */
    private static final Duration OTHERS_WRITE = Duration.ofSeconds(30);

    private static final int MOST_ROOMS = 1000;

    private final Batteries batteries;
    private final States states;
    private final Clock clock;
    private final Cache<Long, Known> known = Caffeine.newBuilder()
            .maximumSize(MOST_ROOMS)
            .expireAfterWrite(OTHERS_WRITE)
            .build();

    RoomShifts(Batteries batteries, States states, Clock clock) {
        this.batteries = batteries;
        this.states = states;
        this.clock = clock;
    }

    /** @param written states that this instance had written by then */
    private record Known(long written, Optional<SharedShift> shift) {}

    /** @return empty where they read as they did */
    public Optional<SharedShift> of(long room) {
        long written = states.written();
        Known held = known.getIfPresent(room);
        if (held == null || held.written() != written) {
            held = new Known(written, among(room));
            known.put(room, held);
        }
        return held.shift();
    }

    private Optional<SharedShift> among(long room) {
        return SharedShift.of(
                states.of(batteries.inRoom(room).stream().map(Battery::id).toList()).values().stream()
                        .map(state -> state.snapshot().course())
                        .toList(),
                clock.instant());
    }
}
