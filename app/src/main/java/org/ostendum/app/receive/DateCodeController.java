package org.ostendum.app.receive;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.ostendum.app.words.Words;
import org.ostendum.core.receive.DateCode;
import org.ostendum.core.receive.DateScheme;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Reads a maker's date code, with what it would mean by other schemes. */
@Controller
class DateCodeController {
    private final ZoneId zone;

    DateCodeController(ZoneId zone) {
        this.zone = zone;
    }

    @GetMapping("/date-code")
    String read(
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "LETTER_DIGIT") DateScheme scheme,
            Words words,
            Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), zone);
        String stamped = code.strip();
        page.addAttribute("place", "fleet");
        page.addAttribute("code", stamped);
        page.addAttribute("scheme", scheme);
        page.addAttribute("schemes", DateScheme.values());
        page.addAttribute("months", stamped.isEmpty() ? List.of() : DateCode.read(stamped, scheme, today));
        page.addAttribute("others", DateCode.otherwise(stamped, scheme, today));
        return "receive/date-code";
    }
}
