package org.ostendum.app.alarm;

import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Alarms: the strip on every page, their list, and saying that one has seen to it. */
@Controller
class AlarmController {
    private static final int PAST_SHOWN = 40;
    private static final int LONGEST = 400;

    private final AlarmService service;

    AlarmController(AlarmService service) {
        this.service = service;
    }

    @GetMapping("/alarms")
    String alarms(Model page) {
        page.addAttribute("place", "charging");
        page.addAttribute("open", service.open());
        page.addAttribute("past", service.past(PAST_SHOWN));
        return "devices/alarms";
    }

    @GetMapping("/alarms/strip")
    String strip(Model page) {
        page.addAttribute("ringing", service.ringing());
        return "devices/strip :: strip";
    }

    @PostMapping("/alarms/{id}")
    String acknowledge(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String done,
            Person person,
            Words words,
            RedirectAttributes flash) {
        String told = done.strip();
        if (told.length() > LONGEST) {
            throw new ResponseStatusException(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        boolean first = service.acknowledge(id, person.id(), told.isEmpty() ? null : told);
        flash.addFlashAttribute("told", words.text(first ? "alarms.acknowledged" : "alarms.acknowledged.before"));
        return "redirect:/alarms";
    }
}
