package org.ostendum.app.life;

import java.io.IOException;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.words.Words;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** One battery's whole life as a document, on the screen and on paper. */
@Controller
class LifeController {
    private final LifeStory story;

    LifeController(LifeStory story) {
        this.story = story;
    }

    @GetMapping("/batteries/{battery}/life")
    String life(Battery battery, Words words, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("life", story.of(battery, words));
        return "life/life";
    }

    @GetMapping("/batteries/{battery}/life.pdf")
    ResponseEntity<byte[]> paper(Battery battery, Words words) throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header("Content-Disposition", "inline; filename=\"" + battery.code() + "-life.pdf\"")
                .body(LifePaper.of(story.of(battery, words)));
    }
}
