package org.ostendum.app.security;

import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Tokens for programs, made and ended under a person's own name. */
@Controller
class TokenController {
    private static final int LONGEST_NAME = 60;
    private static final int MOST = 20;

    private final Tokens tokens;
    private final TokenHash hash;

    TokenController(Tokens tokens, TokenHash hash) {
        this.tokens = tokens;
        this.hash = hash;
    }

    @PostMapping("/me/tokens")
    String make(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "false") boolean writes,
            Person person,
            Words words,
            RedirectAttributes flash) {
        String called = name.strip();
        if (called.length() < 2 || called.length() > LONGEST_NAME) {
            flash.addFlashAttribute("fault", words.text("me.tokens.fault.name", LONGEST_NAME));
        } else if (tokens.of(person.id()).size() >= MOST) {
            flash.addFlashAttribute("fault", words.text("me.tokens.fault.many", MOST));
        } else {
            String token = hash.make();
            tokens.add(person.id(), called, hash.of(token), writes);
            flash.addFlashAttribute("token", token);
        }
        return "redirect:/me#tokens";
    }

    @PostMapping("/me/tokens/{id}/end")
    String end(@PathVariable long id, Person person, Words words, RedirectAttributes flash) {
        tokens.end(id, person.id());
        flash.addFlashAttribute("told", words.text("me.tokens.ended"));
        return "redirect:/me#tokens";
    }
}
