package org.ostendum.app.me;

import org.ostendum.app.people.People;
import org.ostendum.app.security.Tokens;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.GravityForm;
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

    MeController(People people, Tokens tokens) {
        this.people = people;
        this.tokens = tokens;
    }

    @GetMapping("/me")
    String me(Person person, Model page) {
        page.addAttribute("place", "me");
        page.addAttribute("me", person);
        page.addAttribute("forms", GravityForm.values());
        page.addAttribute("themes", Theme.values());
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
            Person person,
            Words words,
            RedirectAttributes flash) {
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
                theme));
        flash.addFlashAttribute("told", words.text("me.kept"));
        return "redirect:/me";
    }
}
