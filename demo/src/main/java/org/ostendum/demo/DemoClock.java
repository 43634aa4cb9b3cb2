package org.ostendum.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import org.jspecify.annotations.Nullable;

/**
 * The application's clock. Whoever fills the site with its past sets it back for himself, so that the application's own services
 * date each line as when it would have been written; everybody else goes on reading the real one.
 */
public final class DemoClock extends Clock {
    private final Clock real;
    private static final ThreadLocal<@Nullable Past> PAST = new ThreadLocal<>();

    DemoClock(Clock real) {
        this.real = real;
    }

    private static final class Past {
        private final Deque<Instant> ahead = new ArrayDeque<>();
        private Instant now;

        private Past(Instant now) {
            this.now = now;
        }
    }

    /** From now on this thread reads this moment. */
    public void moveTo(Instant instant) {
        PAST.set(new Past(instant));
    }

    /**
     * This thread reads these moments next, one each; then the last it was moved to.
     *
     * @throws IllegalStateException when it was not moved
     */
    void goThrough(Collection<Instant> moments) {
        Past set = PAST.get();
        if (set == null) {
            throw new IllegalStateException("The clock was not set back");
        }
        set.ahead.addAll(moments);
    }

    public void backToNow() {
        PAST.remove();
    }

    @Override
    public Instant instant() {
        Past set = PAST.get();
        if (set == null) {
            return real.instant();
        }
        Instant next = set.ahead.poll();
        return next == null ? set.now : next;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
