package org.ostendum.app.live;

import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream on which pages hear that something is new. */
@Controller
class LiveController {
    private final LiveEvents live;

    LiveController(LiveEvents live) {
        this.live = live;
    }

    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live() {
        return live.open();
    }
}
