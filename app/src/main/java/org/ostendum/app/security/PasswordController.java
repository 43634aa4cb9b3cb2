package org.ostendum.app.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import org.ostendum.app.form.Faults;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A person changes his own password. It ends his other sessions; this one goes on. */
@Controller
class PasswordController {
    private final People people;
    private final Passwords passwords;
    private final PersonSignIn signIn;
    private final OwnPassword own;

    PasswordController(People people, Passwords passwords, PersonSignIn signIn, OwnPassword own) {
        this.people = people;
        this.passwords = passwords;
        this.signIn = signIn;
        this.own = own;
    }

    @GetMapping("/me/password")
    String password(Model page) {
        return show(Faults.NONE, page);
    }

    private static String show(Faults faults, Model page) {
        page.addAttribute("place", "me");
        page.addAttribute("faults", faults);
        return "me/password";
    }

    @PostMapping("/me/password")
    Object change(
            PasswordForm form,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash,
            HttpServletRequest request,
            HttpServletResponse response) {
        Faults.Finder faults = new Faults.Finder(words);
        String wanted = Objects.requireNonNullElse(form.wanted(), "");
        if (!own.is(person, Objects.requireNonNullElse(form.current(), "")).orElse(false)) {
            faults.add("current", "fault.password.current");
        }
        passwords
                .fault(wanted, person.login())
                .ifPresent(key -> faults.add("wanted", key, Passwords.SHORTEST, Passwords.MOST_BYTES));
        if (!wanted.equals(form.again())) {
            faults.add("again", "fault.password.again");
        }
        if (faults.any()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(faults.found(), page), page);
        }
        people.changePassword(person.id(), passwords.hash(wanted));
        goOn(person, request, response);
        flash.addFlashAttribute("told", words.text("me.password.kept"));
        return "redirect:/me";
    }

    private void goOn(Person person, HttpServletRequest request, HttpServletResponse response) {
        SecurityContextImpl context = new SecurityContextImpl(
                signIn.signedIn(people.entitled(person.login()).orElseThrow()));
        SecurityContextHolder.setContext(context);
        request.changeSessionId();
        new HttpSessionSecurityContextRepository().saveContext(context, request, response);
    }
}
