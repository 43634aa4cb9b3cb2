package org.ostendum.app.report;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.job.Job;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.safety.Incidents;
import org.ostendum.app.safety.Incidents.Incident;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The report that a spill leaves to be written, and the lead's review that closes it. */
@Controller
class SpillReportController {
    private final Incidents incidents;
    private final Photos photos;

    SpillReportController(Incidents incidents, Photos photos) {
        this.incidents = incidents;
        this.photos = photos;
    }

    @GetMapping("/jobs/{job}/report")
    String report(Job job, Model page) {
        Optional<Incident> known = incidents.ofJob(job.id());
        return show(job, known.orElse(null), FormView.of(SpillReportForm.of(known.orElse(null), null)), page);
    }

    private String show(Job job, @Nullable Incident incident, FormView form, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute("job", job);
        page.addAttribute("incident", incident);
        page.addAttribute("pictures", photos.of(new Photos.Of(Photos.Subject.JOB, job.id())));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "safety/report";
    }

    @PostMapping("/jobs/{job}/report")
    Object write(
            Job job,
            @Validated @ModelAttribute("form") SpillReportForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        @Nullable Incident known = incidents.ofJob(job.id()).orElse(null);
        if (known != null && !known.isOpen()) {
            Faults.tell(errors, "cause", "report.fault.closed");
        }
        if (errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(job, known, FormView.of(errors, words), page), page);
        }
        incidents.write(job.id(), form.report(), person.id());
        flash.addFlashAttribute("told", words.text("report.kept"));
        return "redirect:/jobs/" + job.id() + "/report";
    }

    @PostMapping("/jobs/{job}/review")
    Object review(
            Job job,
            @RequestParam(defaultValue = "") String review,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        @Nullable Incident known = incidents.ofJob(job.id()).orElse(null);
        BindingResult errors = new BeanPropertyBindingResult(SpillReportForm.of(known, review), "form");
        if (review.isEmpty()) {
            Faults.tell(errors, "review", "fault.blank");
        } else if (review.length() > SpillReportForm.LONGEST) {
            Faults.tell(errors, "review", "report.fault.long", SpillReportForm.LONGEST);
        } else if (!incidents.close(job.id(), review, person.id())) {
            Faults.tell(errors, "review", "report.fault.kit");
        }
        if (errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(job, known, FormView.of(errors, words), page), page);
        }
        flash.addFlashAttribute("told", words.text("report.closed"));
        return "redirect:/jobs/" + job.id() + "/report";
    }
}
