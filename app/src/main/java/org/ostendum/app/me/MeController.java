package org.ostendum.app.me;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.page.Wording;
import org.ostendum.app.people.People;
import org.ostendum.app.security.Tokens;
import org.ostendum.core.measure.GravityForm;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Theme;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How a person likes figures typed and shown. */
@Controller
class MeController {
    private final People people;
    private final Tokens tokens;
    private final Wording wording;

    MeController(People people, Tokens tokens, Wording wording) {
        this.people = people;
        this.tokens = tokens;
        this.wording = wording;
    }

    @GetMapping("/me")
    String me(Person person, Model page) {
        page.addAttribute("place", "me");
        page.addAttribute("me", person);
        page.addAttribute("forms", GravityForm.values());
        page.addAttribute("themes", Theme.values());
        page.addAttribute("languages", Language.values());
        page.addAttribute("tokens", tokens.of(person.id()));
        return "me/me";
    }

    @PostMapping("/me")
    String keep(
            @RequestParam GravityForm form,
            @RequestParam boolean points,
            @RequestParam boolean fahrenheit,
            @RequestParam boolean us,
            @RequestParam Theme theme,
            @RequestParam(required = false) @Nullable Language language,
            Person person,
            RedirectAttributes flash) {
        // A page that was open before there were languages sends none.
        Language spoken = language == null ? person.language() : language;
        people.keepPreferences(new Person(
                person.id(),
                person.login(),
                person.name(),
                person.role(),
                person.active(),
                form,
                points,
                fahrenheit,
                us,
                theme,
                spoken));
        flash.addFlashAttribute("told", wording.in(spoken, person).text("me.kept"));
        return "redirect:/me";
    }
}
