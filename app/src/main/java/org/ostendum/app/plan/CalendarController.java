package org.ostendum.app.plan;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.plan.Plan;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The plan in calendars: addresses are made by each person for himself, and read without a sign-in. */
@Controller
class CalendarController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final CalendarFeeds feeds;
    private final Planning planning;
    private final PlanRuns runs;

    CalendarController(CalendarFeeds feeds, Planning planning, PlanRuns runs) {
        this.feeds = feeds;
        this.planning = planning;
        this.runs = runs;
    }

    @GetMapping("/plan/calendar")
    String page(Person person, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("feeds", feeds.of(person.id()));
        return "plan/calendar";
    }

    @PostMapping("/plan/calendar")
    String add(
            @RequestParam(defaultValue = "false") boolean whole, Person person, Words words, RedirectAttributes flash) {
        String token = feeds.add(person.id(), whole, words.now());
        flash.addFlashAttribute(
                "address",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path("/calendar/" + token + ".ics")
                        .toUriString());
        return "redirect:/plan/calendar";
    }

    @PostMapping("/plan/calendar/{id}/end")
    String end(@PathVariable long id, Person person, Words words) {
        feeds.end(person.id(), id, words.now());
        return "redirect:/plan/calendar";
    }

    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<String> read(@PathVariable String token, Words words) {
        CalendarFeeds.Feed feed = feeds.byToken(token).orElseThrow(() -> new NotFound("calendar"));
        PlanRun run = planning.inForce().orElse(null);
        Plan plan = run == null
                ? new Plan(List.of(), List.of(), List.of(), 0, true)
                : runs.plan(run.id()).orElseThrow();
        int sequence = run == null ? 0 : (int) run.id();
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .body(PlanCalendar.of(plan, sequence, feed.whole() ? null : feed.login(), words.now(), words));
    }
}
