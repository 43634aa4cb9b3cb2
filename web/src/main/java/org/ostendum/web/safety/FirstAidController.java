package org.ostendum.web.safety;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** First aid for acid: one tap from every screen, open to everybody. */
@Controller
class FirstAidController {
    @GetMapping("/first-aid")
    String firstAid() {
        return "safety/first-aid";
    }
}
