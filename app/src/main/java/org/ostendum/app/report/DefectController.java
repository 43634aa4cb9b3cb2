package org.ostendum.app.report;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.photo.PhotoTaking;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.words.Words;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A defect seen in passing is reported with one tap, and shown with a picture; what is mended without a job is put right here. */
@Controller
class DefectController {
    private static final int SHORTEST_REMARK = 3;

    private final Defects defects;
    private final DefectReports reports;
    private final PhotoTaking photos;

    DefectController(Defects defects, DefectReports reports, PhotoTaking photos) {
        this.defects = defects;
        this.reports = reports;
        this.photos = photos;
    }

    @GetMapping("/batteries/{battery}/defect")
    String defect(Battery battery, Model page) {
        return show(battery, FormView.of(DefectForm.BLANK), page);
    }

    private String show(Battery battery, FormView form, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("open", defects.openOf(battery.id(), battery.machineId()));
        page.addAttribute(
                "kinds",
                Arrays.stream(DefectKind.values())
                        .filter(kind -> kind.canBeOf(battery.type().model()))
                        .toList());
        return "report/defect";
    }

    @PostMapping(path = "/batteries/{battery}/defect", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Object report(
            Battery battery,
            @Validated @ModelAttribute("form") DefectForm form,
            BindingResult errors,
            @RequestParam(required = false) List<MultipartFile> photo,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash)
            throws IOException {
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, FormView.of(errors, words), page), page);
        }
        DefectKind kind = Objects.requireNonNull(form.kind());
        Optional<Long> opened = reports.report(battery, kind, form.remarkText(), person, words);
        List<String> faults = opened.isEmpty() || photo == null
                ? List.of()
                : photos.take(new Photos.Of(Photos.Subject.DEFECT, opened.get()), photo, person, words);
        String told = words.text(opened.isPresent() ? "defect.reported" : "defect.stood", words.name(kind));
        String atOnce = reports.atOnce(battery, words);
        flash.addFlashAttribute(
                "told", String.join(" ", told, atOnce, String.join(" ", faults)).strip());
        return "redirect:/batteries/" + battery.code();
    }

    /** A picture of what was reported before. */
    @PostMapping(path = "/defects/{defect}/photos", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    String photo(
            Defects.Defect defect,
            @RequestParam List<MultipartFile> photo,
            Person person,
            Words words,
            RedirectAttributes flash)
            throws IOException {
        List<String> faults = photos.take(new Photos.Of(Photos.Subject.DEFECT, defect.id()), photo, person, words);
        if (!faults.isEmpty()) {
            flash.addFlashAttribute("fault", String.join(" ", faults));
        }
        return "redirect:/jobs#defect-" + defect.id();
    }

    @PostMapping("/defects/{defect}/right")
    String right(
            Defects.Defect defect,
            @RequestParam(defaultValue = "") String remark,
            Person person,
            Words words,
            RedirectAttributes flash) {
        String done = remark.strip();
        if (done.length() < SHORTEST_REMARK || done.length() > DefectForm.LONGEST) {
            flash.addFlashAttribute("fault", words.text("defect.fault.remark", words.name(defect.kind())));
            return "redirect:/jobs#defect-" + defect.id();
        }
        reports.putRight(defect, done, person, words);
        flash.addFlashAttribute("told", words.text("defect.right", words.name(defect.kind())));
        return "redirect:/jobs";
    }
}
