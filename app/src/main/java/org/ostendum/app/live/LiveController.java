package org.ostendum.app.live;

import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream on which pages hear that something is new. */
@Controller
class LiveController {
    private final LiveEvents live;

    LiveController(LiveEvents live) {
        this.live = live;
    }

    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(Person person) {
        return live.open(person.login())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.TOO_MANY_REQUESTS, "too many open pages"));
    }
}
