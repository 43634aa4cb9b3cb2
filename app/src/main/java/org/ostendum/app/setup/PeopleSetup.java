package org.ostendum.app.setup;

import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.Option;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Person;
import org.ostendum.app.people.Role;
import org.ostendum.app.words.Words;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** People, their roles and passwords. */
@Controller
class PeopleSetup {
    private static final int SHORTEST_PASSWORD = 10;

    private final People people;
    private final PasswordEncoder encoder;

    PeopleSetup(People people, PasswordEncoder encoder) {
        this.people = people;
        this.encoder = encoder;
    }

    @GetMapping("/setup/people")
    String list(Words words, Model page) {
        return show(null, TypedForm.of(words, "active", "true"), words, page);
    }

    @GetMapping("/setup/people/{id}")
    String one(@PathVariable long id, Words words, Model page) {
        Person person = find(id);
        TypedForm form = TypedForm.of(
                words,
                "login",
                person.login(),
                "name",
                person.name(),
                "role",
                person.role().name(),
                "active",
                String.valueOf(person.active()));
        return show(person, form, words, page);
    }

    private String show(@Nullable Person known, TypedForm form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("known", known);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("people", people.all());
        page.addAttribute("roles", Option.of(Role.class, words));
        return "setup/people";
    }

    @PostMapping("/setup/people")
    Object add(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String login = form.code("login");
        String name = form.text("name", 80);
        Optional<Role> role = form.choice("role", Role.class);
        String password = password(form, true);
        if (form.isSound() && role.isPresent()) {
            try {
                people.add(login, name, role.get(), Objects.requireNonNull(encoder.encode(password)));
                return kept(name, words, flash);
            } catch (DuplicateKeyException e) {
                form.fault("login", "fault.taken", login);
            }
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(null, form, words, page), page);
    }

    @PostMapping("/setup/people/{id}")
    Object change(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Person was = find(id);
        typed.put("login", was.login());
        TypedForm form = new TypedForm(typed, words);
        String name = form.text("name", 80);
        Optional<Role> role = form.choice("role", Role.class);
        boolean active = form.get("active").equals("true");
        String password = password(form, false);
        if (role.isPresent() && isLastLead(was) && (role.get() != Role.LEAD || !active)) {
            form.fault("role", "fault.last-lead");
        }
        if (!form.isSound() || role.isEmpty()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(was, form, words, page), page);
        }
        people.change(id, name, role.get(), active);
        if (!password.isEmpty()) {
            people.changePassword(id, Objects.requireNonNull(encoder.encode(password)));
        }
        return kept(name, words, flash);
    }

    private static String password(TypedForm form, boolean needed) {
        String password = form.get("password");
        if (password.length() < SHORTEST_PASSWORD && (needed || !password.isEmpty())) {
            form.fault("password", "fault.password");
        }
        return password;
    }

    private boolean isLastLead(Person person) {
        return person.isLead()
                && people.all().stream().filter(p -> p.isLead() && p.active()).count() <= 1;
    }

    private static String kept(String name, Words words, RedirectAttributes flash) {
        flash.addFlashAttribute("told", words.text("setup.kept", name));
        return "redirect:/setup/people";
    }

    private Person find(long id) {
        return people.byId(id).orElseThrow(() -> new NotFound("person " + id));
    }
}
