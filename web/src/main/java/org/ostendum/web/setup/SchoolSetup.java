package org.ostendum.web.setup;

import java.util.Map;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.web.charging.Schools;
import org.ostendum.web.page.Option;
import org.ostendum.web.page.TypedForm;
import org.ostendum.web.store.ChargeSchools;
import org.ostendum.web.store.MachineKind;
import org.ostendum.web.words.Words;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How each class of machines is usually charged: three schools, of which the site picks. */
@Controller
class SchoolSetup {
    private final Schools schools;
    private final ChargeSchools chosen;

    SchoolSetup(Schools schools, ChargeSchools chosen) {
        this.schools = schools;
        this.chosen = chosen;
    }

    @GetMapping("/setup/schools")
    String show(Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("schools", schools.all());
        page.addAttribute(
                "kinds",
                ChargeKind.schools().stream()
                        .map(k -> new Option(k.name(), words.name(k)))
                        .toList());
        return "setup/schools";
    }

    @Transactional
    @PostMapping("/setup/schools")
    public String choose(@RequestParam Map<String, String> typed, Words words, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        for (MachineKind machine : MachineKind.values()) {
            if (!form.get(machine.name()).isEmpty()) {
                form.choice(machine.name(), ChargeKind.class)
                        .filter(ChargeKind.schools()::contains)
                        .ifPresent(kind -> chosen.choose(machine, kind));
            }
        }
        flash.addFlashAttribute("told", words.text("setup.kept", words.text("setup.schools")));
        return "redirect:/setup/schools";
    }
}
