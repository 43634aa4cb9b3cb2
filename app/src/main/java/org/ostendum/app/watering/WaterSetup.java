package org.ostendum.app.watering;

import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.water.WaterQuality;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The site's water: purified, or tap water by its analysis. */
@Controller
class WaterSetup {
    private final WaterAnalyses analyses;
    private final BatteryStates batteryStates;

    WaterSetup(WaterAnalyses analyses, BatteryStates batteryStates) {
        this.analyses = analyses;
        this.batteryStates = batteryStates;
    }

    @GetMapping("/setup/water")
    String show(Words words, Model page) {
        return show(FormView.of(WaterForm.BLANK), words, page);
    }

    private String show(FormView form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("analysis", analyses.newest().orElse(null));
        page.addAttribute(
                "quality", WaterQuality.of(analyses.newest().orElse(null), words.now(), batteryStates.rulesFor(null)));
        return "setup/water";
    }

    @PostMapping("/setup/water")
    Object add(
            @Validated @ModelAttribute("form") WaterForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(FormView.of(errors, words), words, page), page);
        }
        analyses.add(form.analysis(words.now()), person.id());
        flash.addFlashAttribute("told", words.text("setup.kept", words.text("setup.water")));
        return "redirect:/setup/water";
    }
}
