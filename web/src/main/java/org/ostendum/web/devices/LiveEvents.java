package org.ostendum.web.devices;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells every open page that something is new; what it is, the page asks for itself. */
@Component
public class LiveEvents {
    /** A page that is gone is noticed at the latest when its time is up; the browser comes back by itself. */
    private static final long TIME_OUT = 15 * 60_000L;

    private static final String CHANGED = "changed";
    private static final String ALARMS = "alarms";

    private final List<SseEmitter> pages = new CopyOnWriteArrayList<>();

    SseEmitter open() {
        SseEmitter page = new SseEmitter(TIME_OUT);
        pages.add(page);
        page.onCompletion(() -> pages.remove(page));
        page.onTimeout(page::complete);
        tell(page, CHANGED);
        tell(page, ALARMS);
        return page;
    }

    /** Something was heard. */
    public void changed() {
        pages.forEach(page -> tell(page, CHANGED));
    }

    /** An alarm rings, is gone, or was acknowledged. */
    public void alarms() {
        pages.forEach(page -> tell(page, ALARMS));
    }

    private void tell(SseEmitter page, String event) {
        try {
            page.send(SseEmitter.event().name(event).data(""));
        } catch (IOException | IllegalStateException e) {
            pages.remove(page);
        }
    }

    /** An open answer would hold up the end of the application. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        pages.forEach(SseEmitter::complete);
    }
}
