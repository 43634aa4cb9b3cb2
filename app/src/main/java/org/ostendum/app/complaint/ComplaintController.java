package org.ostendum.app.complaint;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.complaint.Complaints.Said;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.WorkUp;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A complaint as the driver says it, and the way to its cause: which look comes next, what is left, where it ends. */
@Controller
class ComplaintController {
    private static final int MOST_SAID = 300;

    private final Complaints complaints;
    private final WorkUps workUps;

    ComplaintController(Complaints complaints, WorkUps workUps) {
        this.complaints = complaints;
        this.workUps = workUps;
    }

    private Said said(long id) {
        return complaints.byId(id).orElseThrow(() -> new NotFound("complaint " + id));
    }

    @GetMapping("/batteries/{battery}/complaint")
    String begin(Battery battery, Words words, Model page) {
        return begin(battery, TypedForm.of(words), page);
    }

    private String begin(Battery battery, TypedForm form, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("kinds", Complaint.values());
        page.addAttribute("open", complaints.openOf(battery.id()).orElse(null));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "complaint/begin";
    }

    @PostMapping("/batteries/{battery}/complaint")
    Object open(Battery battery, @RequestParam Map<String, String> typed, Person person, Words words, Model page) {
        TypedForm form = new TypedForm(typed, words);
        Complaint kind = form.choice("kind", Complaint.class).orElse(null);
        String said = form.get("said");
        if (said.length() > MOST_SAID) {
            form.fault("said", "fault.length", said, MOST_SAID);
        }
        if (kind == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, begin(battery, form, page), page);
        }
        return "redirect:/complaints/" + workUps.open(battery, kind, said, person, words);
    }

    @GetMapping("/complaints/{id}")
    String workUp(@PathVariable long id, Model page) {
        Said said = said(id);
        page.addAttribute("place", "jobs");
        WorkUp workUp = workUps.workUp(said);
        page.addAttribute("view", new WorkUpView(said, workUp, workUp.next().orElse(null), complaints.onRecord(id)));
        return "complaint/work-up";
    }

    @PostMapping("/complaints/{id}/look")
    String look(
            @PathVariable long id,
            @RequestParam Look look,
            @RequestParam Look.@Nullable Outcome shown,
            Person person,
            Words words,
            RedirectAttributes flash) {
        Said said = said(id);
        if (shown == null || !look.outcomes().contains(shown)) {
            flash.addFlashAttribute("fault", words.text("fault.choose"));
        } else if (said.isOpen()) {
            complaints.see(id, look, shown, false, person.id(), words.now());
        } else {
            flash.addFlashAttribute("fault", words.text("complaint.over"));
        }
        return "redirect:/complaints/" + id;
    }

    @PostMapping("/complaints/{id}/back")
    String takeBack(@PathVariable long id, @RequestParam Look look) {
        if (said(id).isOpen()) {
            complaints.takeBack(id, look);
        }
        return "redirect:/complaints/" + id;
    }

    @PostMapping("/complaints/{id}/end")
    String end(@PathVariable long id, @RequestParam Cause cause, Person person, Words words, RedirectAttributes flash) {
        boolean ended = workUps.end(said(id), cause, person, words);
        flash.addFlashAttribute(ended ? "told" : "fault", words.text(ended ? "complaint.ended" : "complaint.over"));
        return "redirect:/complaints/" + id;
    }
}
