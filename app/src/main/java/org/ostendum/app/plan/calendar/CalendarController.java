package org.ostendum.app.plan.calendar;

import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.Wording;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.PlannedJobs;
import org.ostendum.app.plan.PlannedJobs.InForce;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
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
    private final PlannedJobs planned;
    private final FeedJobs jobs;
    private final Rooms rooms;
    private final People people;
    private final Wording wording;

    CalendarController(
            CalendarFeeds feeds, PlannedJobs planned, FeedJobs jobs, Rooms rooms, People people, Wording wording) {
        this.feeds = feeds;
        this.planned = planned;
        this.jobs = jobs;
        this.rooms = rooms;
        this.people = people;
        this.wording = wording;
    }

    @GetMapping("/plan/calendar")
    String page(Person person, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("feeds", feeds.of(person.id()));
        page.addAttribute("rooms", rooms.names());
        return "plan/calendar";
    }

    @PostMapping("/plan/calendar")
    String add(
            @RequestParam(defaultValue = "false") boolean whole,
            @RequestParam(defaultValue = "") String room,
            Person person,
            Words words,
            RedirectAttributes flash) {
        @Nullable Long only = room.isEmpty() ? null : (Long) roomNamed(room);
        String token = feeds.add(person.id(), whole || only != null, only, words.now());
        flash.addFlashAttribute(
                "address",
                ServletUriComponentsBuilder.fromCurrentContextPath()
                        .path("/calendar/" + token + ".ics")
                        .toUriString());
        return "redirect:/plan/calendar";
    }

    private long roomNamed(String code) {
        return rooms.names().stream()
                .filter(room -> room.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new NotFound("room " + code))
                .id();
    }

    @PostMapping("/plan/calendar/{id}/end")
    String end(@PathVariable long id, Person person, Words words) {
        feeds.end(person.id(), id, words.now());
        return "redirect:/plan/calendar";
    }

    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<String> read(@PathVariable String token) {
        CalendarFeeds.Feed feed = feeds.byToken(token).orElseThrow(() -> new NotFound("calendar"));
        // Nobody has signed in: it speaks to whoever made the address.
        Words words = wording.of(people.byLogin(feed.login()).orElseThrow(() -> new NotFound("calendar")));
        InForce plan = planned.inForce(words.now()).orElse(InForce.NONE);
        return ResponseEntity.ok().contentType(CALENDAR).body(PlanCalendar.of(plan, jobs.of(feed), words.now(), words));
    }
}
