package org.ostendum.app.job;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.people.Person;
import org.ostendum.app.safety.Incidents;
import org.ostendum.app.safety.Incidents.Incident;
import org.ostendum.app.safety.Incidents.Report;
import org.ostendum.app.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The report that a spill leaves to be written, and the lead's review that closes it. */
@Controller
class ReportController {
    private static final int LONGEST = 1000;

    private final Incidents incidents;
    private final ZoneId zone;

    ReportController(Incidents incidents, ZoneId zone) {
        this.incidents = incidents;
        this.zone = zone;
    }

    @GetMapping("/jobs/{job}/report")
    String report(Job job, Words words, Model page) {
        Optional<Incident> known = incidents.ofJob(job.id());
        return show(job, known.orElse(null), new TypedForm(told(known), words), page);
    }

    /** What a report on record says, for the form. */
    private static Map<String, String> told(Optional<Incident> known) {
        Map<String, String> told = new HashMap<>();
        known.ifPresent(i -> {
            told.put("cause", i.cause());
            told.put("corrective", i.corrective());
            told.put("prevention", i.prevention());
            told.put("kit", Objects.toString(i.kitRefilledOn(), ""));
        });
        return told;
    }

    private String show(Job job, @Nullable Incident incident, TypedForm form, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute("job", job);
        page.addAttribute("incident", incident);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "safety/report";
    }

    @PostMapping("/jobs/{job}/report")
    Object write(
            Job job,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Optional<Incident> known = incidents.ofJob(job.id());
        TypedForm form = new TypedForm(typed, words);
        Report report = new Report(
                form.text("cause", LONGEST),
                form.text("corrective", LONGEST),
                form.text("prevention", LONGEST),
                form.day("kit", LocalDate.ofInstant(words.now(), zone)));
        if (known.isPresent() && !known.get().isOpen()) {
            form.fault("cause", "report.fault.closed");
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(job, known.orElse(null), form, page), page);
        }
        incidents.write(job.id(), report, person.id());
        flash.addFlashAttribute("told", words.text("report.kept"));
        return "redirect:/jobs/" + job.id() + "/report";
    }

    @PostMapping("/jobs/{job}/review")
    Object review(
            Job job,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        typed.putAll(told(incidents.ofJob(job.id())));
        TypedForm form = new TypedForm(typed, words);
        String review = form.text("review", LONGEST);
        if (form.isSound() && !incidents.close(job.id(), review, person.id())) {
            form.fault("review", "report.fault.kit");
        }
        if (!form.isSound()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    show(job, incidents.ofJob(job.id()).orElse(null), form, page),
                    page);
        }
        flash.addFlashAttribute("told", words.text("report.closed"));
        return "redirect:/jobs/" + job.id() + "/report";
    }
}
