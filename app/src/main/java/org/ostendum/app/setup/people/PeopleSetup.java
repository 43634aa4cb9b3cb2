package org.ostendum.app.setup.people;

import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Adding;
import org.ostendum.app.form.Constraints;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** People, their roles and passwords. */
@Controller
class PeopleSetup {
    private static final Constraints CONSTRAINTS = new Constraints(Map.of("person_login_once", "login"));

    private final People people;
    private final Passwords passwords;

    PeopleSetup(People people, Passwords passwords) {
        this.people = people;
        this.passwords = passwords;
    }

    @GetMapping("/setup/people")
    String list(Words words, Model page) {
        return show(null, FormView.of(PersonForm.BLANK), words, page);
    }

    @GetMapping("/setup/people/{id}")
    String one(@PathVariable long id, Words words, Model page) {
        Person person = find(id);
        return show(person, FormView.of(formOf(person)), words, page);
    }

    private PersonForm formOf(Person person) {
        return PersonForm.of(person, people.version(person.id()));
    }

    private String show(@Nullable Person known, FormView form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("known", known);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("people", people.all());
        page.addAttribute("roles", Option.of(Role.class, words));
        return "setup/people";
    }

    @PostMapping("/setup/people")
    Object add(
            @Validated(Adding.class) @ModelAttribute("form") PersonForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (form != null) {
            checkPassword(form, form.login(), errors);
        }
        if (!errors.hasErrors()) {
            CONSTRAINTS.keep(
                    errors,
                    () -> people.add(
                            form.login(),
                            form.name(),
                            Objects.requireNonNull(form.role()),
                            passwords.hash(form.newPassword())));
        }
        return done(null, form, errors, words, page, flash);
    }

    @PostMapping("/setup/people/{id}")
    Object change(
            @PathVariable long id,
            @Validated @ModelAttribute("form") PersonForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Person was = find(id);
        check(was, form, errors);
        if (!errors.hasErrors()) {
            change(was, form, errors);
        }
        return done(was, form, errors, words, page, flash);
    }

    private void check(Person was, @Nullable PersonForm form, BindingResult errors) {
        if (form == null) {
            return;
        }
        if (!form.newPassword().isEmpty()) {
            checkPassword(form, was.login(), errors);
        }
        if (isLastLead(was) && (form.role() != Role.LEAD || !form.mayComeIn())) {
            Faults.tell(errors, "role", "fault.last-lead");
        }
    }

    private void checkPassword(PersonForm form, @Nullable String login, BindingResult errors) {
        passwords
                .fault(form.newPassword(), Objects.requireNonNullElse(login, ""))
                .ifPresent(key -> Faults.tell(errors, "password", key, Passwords.SHORTEST, Passwords.MOST_BYTES));
    }

    private void change(Person was, PersonForm form, BindingResult errors) {
        Role role = Objects.requireNonNull(form.role());
        if (!people.change(was.id(), form.version(), form.name(), role, form.mayComeIn())) {
            FormView.clash(errors, formOf(find(was.id())), "login", "password");
        } else if (!form.newPassword().isEmpty()) {
            people.changePassword(was.id(), passwords.hash(form.newPassword()));
        }
    }

    private Object done(
            @Nullable Person known,
            @Nullable PersonForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (form == null || errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(known, FormView.of(errors, words), words, page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.name()));
        return "redirect:/setup/people";
    }

    private boolean isLastLead(Person person) {
        return person.isLead()
                && people.all().stream().filter(p -> p.isLead() && p.active()).count() <= 1;
    }

    private Person find(long id) {
        return people.byId(id).orElseThrow(() -> new NotFound("person " + id));
    }
}
