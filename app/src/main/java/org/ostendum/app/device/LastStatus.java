package org.ostendum.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import org.jspecify.annotations.Nullable;

/**
 * Listens to one device: holds what it said last that made sense, and how long that is ago. A device whose own clock stands
 * still repeats old news, which counts as silence.
 */
final class LastStatus<S> {
    private final Function<int[], Optional<S>> decoder;
    private final ToIntFunction<S> beat;
    private final double speed;
    private volatile @Nullable DatedStatus<S> last;
    private volatile long newsAt;

    /**
     * @param speed of our clock against the one that never jumps
     * @param now of that one, nanoseconds
     */
    LastStatus(Function<int[], Optional<S>> decoder, ToIntFunction<S> beat, double speed, long now) {
        this.decoder = decoder;
        this.beat = beat;
        this.speed = speed;
        this.newsAt = now;
    }

    /** @return what was heard if it is news that makes sense */
    Optional<S> hear(int[] registers, Instant at, long nanos) {
        Optional<S> status = decoder.apply(registers);
        DatedStatus<S> before = last;
        if (status.isPresent()) {
            boolean news = before == null || beat.applyAsInt(before.status()) != beat.applyAsInt(status.get());
            last = new DatedStatus<>(status.get(), at, nanos);
            if (news) {
                newsAt = nanos;
                return status;
            }
        }
        return Optional.empty();
    }

    @Nullable
    DatedStatus<S> last() {
        return last;
    }

    /** @return since its last news, in the time of our clock */
    Duration silentFor(long now) {
        return Duration.ofMillis(Math.round((now - newsAt) / 1e6 * speed));
    }
}
