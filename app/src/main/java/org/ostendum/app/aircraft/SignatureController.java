package org.ostendum.app.aircraft;

import java.util.Map;
import java.util.Optional;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.security.OwnPassword;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A licensed mechanic signs for the work, with his password typed again. */
@Controller
class SignatureController {
    private static final int SHORTEST_LICENCE = 3;
    private static final int LONGEST_LICENCE = 40;

    private final BenchPage bench;
    private final Signing signing;
    private final OwnPassword own;

    SignatureController(BenchPage bench, Signing signing, OwnPassword own) {
        this.bench = bench;
        this.signing = signing;
        this.own = own;
    }

    @PostMapping("/batteries/{battery}/aircraft/sign")
    Object sign(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String licence = form.get("licence");
        if (licence.length() < SHORTEST_LICENCE || licence.length() > LONGEST_LICENCE) {
            form.fault("licence", "aircraft.licence-wanted", SHORTEST_LICENCE, LONGEST_LICENCE);
        }
        Optional<Boolean> right = own.is(person, typed.getOrDefault("password", ""));
        if (right.isEmpty()) {
            form.fault("password", "aircraft.password-too-many");
        } else if (!right.get()) {
            form.fault("password", "aircraft.password-wrong");
        }
        if (!form.isSound()) {
            return bench.refused(battery, form, "", words, page);
        }
        signing.sign(battery, licence, person);
        flash.addFlashAttribute("told", words.text("aircraft.signed", battery.code()));
        return "redirect:" + BenchPage.addressOf(battery);
    }
}
