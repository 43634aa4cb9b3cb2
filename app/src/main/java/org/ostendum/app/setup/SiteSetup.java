package org.ostendum.app.setup;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.site.Sites;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Language;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What the site is called, in what it counts, and what its people must know of it. */
@Controller
class SiteSetup {
    private final Sites sites;
    private final ZoneId zone;

    SiteSetup(Sites sites, ZoneId zone) {
        this.sites = sites;
        this.zone = zone;
    }

    @GetMapping("/setup/site")
    String site(Model page) {
        return show(FormView.of(SiteForm.of(sites.site(), sites.version())), page);
    }

    private String show(FormView form, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
        page.addAttribute("zone", zone.getId());
        page.addAttribute("languages", Language.values());
        return "setup/site";
    }

    @PostMapping("/setup/site")
    Object keep(
            @Validated @ModelAttribute("form") SiteForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        checkZone(form, errors);
        if (!errors.hasErrors() && !sites.keep(form.site(), form.version())) {
            FormView.clash(errors, SiteForm.of(sites.site(), sites.version()));
        }
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(FormView.of(errors, words), page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.name()));
        return "redirect:/setup";
    }

    private static void checkZone(@Nullable SiteForm form, BindingResult errors) {
        if (form == null || form.site().zone().isEmpty()) {
            return;
        }
        try {
            ZoneId.of(form.site().zone());
        } catch (DateTimeException e) {
            Faults.tell(errors, "zone", "fault.zone", form.site().zone());
        }
    }
}
