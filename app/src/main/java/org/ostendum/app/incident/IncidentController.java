package org.ostendum.app.incident;

import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.form.TypedInput.Read;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.photo.PhotoTaking;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.words.Words;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.safety.IncidentKind;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One incident: written in two minutes when everybody is safe, completed later, closed by a lead. */
@Controller
class IncidentController {
    private final Incidents incidents;
    private final IncidentReports reports;
    private final Batteries batteries;
    private final Defects defects;
    private final Photos photos;
    private final PhotoTaking taking;

    IncidentController(
            Incidents incidents,
            IncidentReports reports,
            Batteries batteries,
            Defects defects,
            Photos photos,
            PhotoTaking taking) {
        this.incidents = incidents;
        this.reports = reports;
        this.batteries = batteries;
        this.defects = defects;
        this.photos = photos;
        this.taking = taking;
    }

    /** @param job number of the job that answered it, whose report is shown where it is written already */
    @GetMapping("/incidents/new")
    String blank(
            @RequestParam(required = false) @Nullable Long job,
            @RequestParam(required = false) @Nullable String battery,
            Words words,
            Model page) {
        Optional<Incident> written = job == null ? Optional.empty() : incidents.ofJob(job);
        if (written.isPresent()) {
            return "redirect:/incidents/" + written.get().id();
        }
        IncidentKind kind = job == null ? null : IncidentKind.SPILL;
        return show(null, FormView.of(IncidentForm.blank(job, kind, battery)), words, page);
    }

    @GetMapping("/incidents/{incident}")
    String incident(Incident incident, Words words, Model page) {
        return show(incident, FormView.of(IncidentForm.of(incident, null, words)), words, page);
    }

    private String show(@Nullable Incident incident, FormView form, Words words, Model page) {
        page.addAttribute("place", "safety");
        page.addAttribute("incident", incident);
        page.addAttribute(
                "keptBack", incident == null ? null : keptBack(incident).orElse(null));
        page.addAttribute("pictures", incident == null ? List.of() : photos.of(photosOf(incident.id())));
        page.addAttribute("kinds", Option.of(IncidentKind.class, words));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "incident/incident";
    }

    /** What keeps the battery back until somebody has looked it over. */
    private Optional<Defects.Defect> keptBack(Incident incident) {
        Long battery = incident.course().batteryId();
        return battery == null
                ? Optional.empty()
                : defects.openOf(battery, null).stream()
                        .filter(found -> found.kind() == DefectKind.AFTER_INCIDENT)
                        .findFirst();
    }

    private static Photos.Of photosOf(long incident) {
        return new Photos.Of(Photos.Subject.INCIDENT, incident);
    }

    @PostMapping(path = "/incidents", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Object report(
            @Validated @ModelAttribute("form") IncidentForm form,
            BindingResult errors,
            @RequestParam(required = false) @Nullable List<MultipartFile> photo,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash)
            throws IOException {
        Read<Instant> at = moment(form, errors, words);
        Optional<Battery> battery = battery(errors);
        if (errors.hasErrors()) {
            return refused(null, errors, words, page);
        }
        Instant happened = Objects.requireNonNullElse(at.value(), words.now());
        @Nullable Battery known = battery.orElse(null);
        long id = reports.report(form, form.course(happened, known), known, person, words);
        return kept(id, reports.atOnce(known, words), photo, person, words, flash);
    }

    private String kept(
            long id,
            String atOnce,
            @Nullable List<MultipartFile> photo,
            Person person,
            Words words,
            RedirectAttributes flash)
            throws IOException {
        List<String> faults = photo == null ? List.of() : taking.take(photosOf(id), photo, person, words);
        flash.addFlashAttribute(
                "told",
                String.join(" ", words.text("incident.kept"), atOnce, String.join(" ", faults))
                        .strip());
        return "redirect:/incidents/" + id;
    }

    /** What cannot be said by a single field's rule. Asks what was typed, for a form with a figure that cannot be read is none yet. */
    private Read<Instant> moment(@Nullable IncidentForm form, BindingResult errors, Words words) {
        Read<Instant> at = TypedInput.past(typed(errors, "at"), words);
        if (at.fault() != null) {
            Faults.tell(errors, "at", "fault.said", at.fault());
        }
        Long job = form == null ? null : form.job();
        if (job != null && !incidents.isJob(job)) {
            Faults.tell(errors, "what", "incident.fault.job", job);
        }
        if (form != null && form.lacksAid()) {
            Faults.tell(errors, "helped", "incident.fault.aid");
        }
        return at;
    }

    private Optional<Battery> battery(BindingResult errors) {
        String code = typed(errors, "battery");
        Optional<Battery> battery = code.isEmpty() ? Optional.empty() : batteries.byCode(code);
        if (!code.isEmpty() && battery.isEmpty()) {
            Faults.tell(errors, "battery", "incident.fault.battery", code);
        }
        return battery;
    }

    private static String typed(BindingResult errors, String field) {
        return Objects.toString(errors.getFieldValue(field), "").strip();
    }

    @PostMapping(path = "/incidents/{incident}", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Object rewrite(
            Incident incident,
            @Validated @ModelAttribute("form") IncidentForm form,
            BindingResult errors,
            @RequestParam(required = false) @Nullable List<MultipartFile> photo,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash)
            throws IOException {
        Read<Instant> at = moment(form, errors, words);
        Optional<Battery> battery = battery(errors);
        if (!incident.isOpen()) {
            Faults.tell(errors, "what", "incident.fault.closed");
        } else if (!errors.hasErrors()) {
            Instant happened =
                    Objects.requireNonNullElse(at.value(), incident.course().at());
            @Nullable Battery known = battery.orElse(null);
            if (!reports.rewrite(incident, form, form.course(happened, known), known, person, words)) {
                Incident now = incidents.byId(incident.id()).orElseThrow();
                FormView.clash(errors, IncidentForm.of(now, null, words), "job", "key", "review");
            }
        }
        if (errors.hasErrors()) {
            return refused(incident, errors, words, page);
        }
        return kept(incident.id(), reports.atOnce(battery.orElse(null), words), photo, person, words, flash);
    }

    private Object refused(@Nullable Incident incident, BindingResult errors, Words words, Model page) {
        return Faults.page(
                HttpStatus.UNPROCESSABLE_CONTENT, show(incident, FormView.of(errors, words), words, page), page);
    }

    @PostMapping("/incidents/{incident}/review")
    Object review(
            Incident incident,
            @RequestParam(defaultValue = "") String review,
            @RequestParam(defaultValue = "0") int version,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        BindingResult errors = new BeanPropertyBindingResult(IncidentForm.of(incident, review, words), "form");
        String lacking = incident.lacking().stream()
                .map(field -> words.text("incident." + field))
                .collect(Collectors.joining(", "));
        if (review.isBlank()) {
            Faults.tell(errors, "review", "fault.blank");
        } else if (review.length() > IncidentForm.LONGEST) {
            Faults.tell(errors, "review", "incident.fault.long", IncidentForm.LONGEST);
        } else if (!lacking.isEmpty()) {
            Faults.tell(errors, "review", "incident.fault.lacking", lacking);
        } else if (!reports.close(incident, version, review.strip(), person)) {
            Faults.tell(errors, "review", "incident.fault.changed");
        }
        if (errors.hasErrors()) {
            return refused(incident, errors, words, page);
        }
        flash.addFlashAttribute("told", words.text("incident.closed"));
        return "redirect:/incidents/" + incident.id();
    }
}
