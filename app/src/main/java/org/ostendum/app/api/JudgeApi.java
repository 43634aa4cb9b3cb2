package org.ostendum.app.api;

import java.time.ZoneId;
import org.ostendum.app.words.Words;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Judges readings that a program sends; nothing of them is kept. */
@RestController
class JudgeApi {
    private final ZoneId zone;

    JudgeApi(ZoneId zone) {
        this.zone = zone;
    }

    @PostMapping(path = "/api/v1/judge", consumes = "application/json", produces = "application/json")
    JudgeAnswer judge(@RequestBody JsonNode body, Words words) {
        return JudgeAnswer.of(JudgeRequest.read(body, zone), words);
    }
}
