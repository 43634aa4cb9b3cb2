package org.ostendum.app.setup;

import java.util.Map;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.people.Person;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.watering.WaterAnalyses;
import org.ostendum.app.words.Words;
import org.ostendum.core.water.WaterQuality;
import org.ostendum.core.water.WaterQuality.Analysis;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
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
        return show(TypedForm.of(words), words, page);
    }

    private String show(TypedForm form, Words words, Model page) {
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
            @RequestParam Map<String, String> typed, Person person, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        double chloride = form.number("chloride", 0, 5000);
        double iron = form.number("iron", 0, 500);
        double residue = form.number("residue", 0, 20_000);
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, words, page), page);
        }
        analyses.add(new Analysis(words.now(), chloride, iron, residue), person.id());
        flash.addFlashAttribute("told", words.text("setup.kept", words.text("setup.water")));
        return "redirect:/setup/water";
    }
}
