package org.ostendum.app.live;

import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every open page that something is new; what it is, the page asks for itself. A page that hears nothing, not even
 * the beat, knows that it is cut off. Telling has a thread of its own: a page that does not listen holds up nobody.
 */
@Component
public class LiveEvents implements SmartLifecycle {
    /** A page that is gone is noticed at the latest when its time is up; the browser comes back by itself. */
    private static final long TIME_OUT = 15 * 60_000L;

    private static final String CHANGED = "changed";
    private static final String ALARMS = "alarms";
    private static final String BEAT = "beat";

    /** A person has few devices with few pages open; each open page costs memory here. */
    static final int MOST_OF_ONE = 24;

    static final int MOST = 400;

    private final Map<SseEmitter, String> pages = new ConcurrentHashMap<>();
    private final Duration beat;
    private volatile @Nullable ScheduledExecutorService teller;

    /** @param beat so often every page is told that the line is whole */
    LiveEvents(@Value("${ostendum.live.beat}") Duration beat) {
        this.beat = beat;
    }

    /** @return so often every page is told that the line is whole */
    public Duration beat() {
        return beat;
    }

    @Override
    public void start() {
        ScheduledExecutorService executor =
                Executors.newSingleThreadScheduledExecutor(task -> new Thread(task, "live"));
        teller = executor;
        if (executor.scheduleWithFixedDelay(
                        () -> tellAll(BEAT), beat.toMillis(), beat.toMillis(), TimeUnit.MILLISECONDS)
                .isCancelled()) {
            throw new IllegalStateException("The beat ended before it began");
        }
    }

    /**
     * @param login of the person whose page it is
     * @return the stream of a page; empty where he, or all together, have as many as there may be
     */
    Optional<SseEmitter> open(String login) {
        SseEmitter page = new SseEmitter(TIME_OUT);
        if (!add(page, login)) {
            return Optional.empty();
        }
        page.onCompletion(() -> pages.remove(page));
        page.onTimeout(page::complete);
        tell(page, CHANGED);
        tell(page, ALARMS);
        return Optional.of(page);
    }

    private synchronized boolean add(SseEmitter page, String login) {
        long own = pages.values().stream().filter(login::equals).count();
        if (own >= MOST_OF_ONE || pages.size() >= MOST) {
            return false;
        }
        pages.put(page, login);
        return true;
    }

    /** Something was heard. */
    public void changed() {
        soon(CHANGED);
    }

    /** An alarm rings, is gone, or was acknowledged. */
    public void alarms() {
        soon(ALARMS);
    }

    private void soon(String event) {
        ScheduledExecutorService executor = teller;
        if (executor != null) {
            executor.execute(() -> tellAll(event));
        }
    }

    private void tellAll(String event) {
        pages.keySet().forEach(page -> tell(page, event));
    }

    private void tell(SseEmitter page, String event) {
        try {
            page.send(SseEmitter.event().name(event).data(""));
        } catch (IOException | RuntimeException e) {
            // Whatever is the matter with one page, the beat goes on for the others.
            pages.remove(page);
        }
    }

    /** An open answer would hold up the end of the application. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        pages.keySet().forEach(SseEmitter::complete);
    }

    @Override
    public void stop() {
        ScheduledExecutorService executor = teller;
        teller = null;
        if (executor != null) {
            executor.shutdownNow();
        }
    }

    @Override
    public boolean isRunning() {
        return teller != null;
    }
}
