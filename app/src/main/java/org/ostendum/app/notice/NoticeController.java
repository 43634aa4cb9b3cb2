package org.ostendum.app.notice;

import java.time.Duration;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.Telling;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How alarms reach the one who has signed in. */
@Controller
class NoticeController {
    private static final int TOLD = 20;
    private static final int MOST_RULES = 10;

    private final Notices notices;
    private final NoticeService service;

    NoticeController(Notices notices, NoticeService service) {
        this.notices = notices;
        this.service = service;
    }

    @GetMapping("/me/alarms")
    String page(Person person, Model page) {
        return show(person, null, page);
    }

    /** @param typed what could not be taken; null for nothing */
    private String show(Person person, @Nullable NoticeForm typed, Model page) {
        page.addAttribute("typed", typed);
        page.addAttribute("place", "me");
        page.addAttribute("rules", notices.of(person.id()));
        page.addAttribute("told", notices.newest(person.id(), TOLD));
        page.addAttribute("kinds", AlarmKind.values());
        page.addAttribute("mail", service.isOpen(NoticeRule.Way.MAIL));
        return "me/alarms";
    }

    @PostMapping("/me/alarms")
    Object add(@ModelAttribute NoticeForm form, Person person, Words words, Model page, RedirectAttributes flash) {
        String fault = fault(form, person, words);
        if (!fault.isEmpty()) {
            page.addAttribute("fault", fault);
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(person, form, page), page);
        }
        Telling telling = new Telling(
                Set.copyOf(form.chosen()),
                time(form.from()).orElseThrow(),
                time(form.until()).orElseThrow(),
                minutes(form.after()).orElseThrow());
        notices.add(person.id(), Objects.requireNonNull(form.way()), form.addressText(), telling);
        flash.addFlashAttribute("done", words.text("notice.kept"));
        return "redirect:/me/alarms";
    }

    private String fault(NoticeForm form, Person person, Words words) {
        if (form.way() == null) {
            return words.text("fault.choose");
        }
        if (!form.isAddress()) {
            return words.text("notice.fault." + form.way(), form.addressText());
        }
        if (time(form.from()).isEmpty() || time(form.until()).isEmpty()) {
            return words.text("notice.fault.hours");
        }
        if (minutes(form.after()).isEmpty()) {
            return words.text("notice.fault.after", String.valueOf(form.after()));
        }
        return notices.of(person.id()).size() >= MOST_RULES ? words.text("notice.fault.many", MOST_RULES) : "";
    }

    @PostMapping("/me/alarms/{id}/end")
    String end(@PathVariable long id, Person person) {
        notices.end(person.id(), id);
        return "redirect:/me/alarms";
    }

    @PostMapping("/me/alarms/{id}/trial")
    String trial(@PathVariable long id, Person person, Words words, RedirectAttributes flash) {
        NoticeRule rule = notices.of(person.id()).stream()
                .filter(r -> r.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("notice rule " + id));
        service.trial(rule, person)
                .ifPresentOrElse(
                        fault -> flash.addFlashAttribute("fault", words.text("notice.trial.fault", fault)),
                        () -> flash.addFlashAttribute("done", words.text("notice.trial.sent", rule.address())));
        return "redirect:/me/alarms";
    }

    private static Optional<LocalTime> time(@Nullable String text) {
        try {
            return Optional.of(LocalTime.parse(text == null || text.isBlank() ? "00:00" : text.strip()));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private static Optional<Duration> minutes(@Nullable String text) {
        String bare = text == null || text.isBlank() ? "0" : text.strip();
        return bare.matches("\\d{1,4}") && Integer.parseInt(bare) <= 24 * 60
                ? Optional.of(Duration.ofMinutes(Integer.parseInt(bare)))
                : Optional.empty();
    }
}
