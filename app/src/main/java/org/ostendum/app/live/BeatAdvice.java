package org.ostendum.app.live;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Tells each page how often it will hear that the line is whole. */
@ControllerAdvice(annotations = Controller.class)
class BeatAdvice {
    private final LiveEvents live;

    BeatAdvice(LiveEvents live) {
        this.live = live;
    }

    /** @return milliseconds */
    @ModelAttribute("beat")
    long beat() {
        return live.beat().toMillis();
    }
}
