package org.ostendum.app.setup;

import java.util.Map;
import org.ostendum.app.charge.ChargePolicies;
import org.ostendum.app.charge.ChargePolicy;
import org.ostendum.app.form.Option;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.ChargeKind;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How each class of machines is usually charged: three kinds, of which the site picks. */
@Controller
class ChargePolicySetup {
    private final ChargePolicy policy;
    private final ChargePolicies chosen;

    ChargePolicySetup(ChargePolicy policy, ChargePolicies chosen) {
        this.policy = policy;
        this.chosen = chosen;
    }

    @GetMapping("/setup/charging")
    String show(Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("usual", policy.all());
        page.addAttribute(
                "kinds",
                ChargeKind.usual().stream()
                        .map(k -> new Option(k.name(), words.name(k)))
                        .toList());
        return "setup/charging";
    }

    @Transactional
    @PostMapping("/setup/charging")
    public String choose(@RequestParam Map<String, String> typed, Words words, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        for (MachineKind machine : MachineKind.values()) {
            if (!form.get(machine.name()).isEmpty()) {
                form.choice(machine.name(), ChargeKind.class)
                        .filter(ChargeKind.usual()::contains)
                        .ifPresent(kind -> chosen.choose(machine, kind));
            }
        }
        flash.addFlashAttribute("told", words.text("setup.kept", words.text("setup.charging")));
        return "redirect:/setup/charging";
    }
}
