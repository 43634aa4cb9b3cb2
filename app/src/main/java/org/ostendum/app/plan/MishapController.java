package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.house.Mishap.Kind;
import org.ostendum.app.plan.house.Mishaps;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Something has gone wrong: said in two taps, answered with a plan that disturbs little. */
@Controller
class MishapController {
    private static final int MOST_HOURS = 14 * 24;
    private static final double MOST_AH = 5000;

    private final Mishaps mishaps;
    private final Planning planning;
    private final Chargers chargers;
    private final Batteries batteries;
    private final Machines machines;
    private final People people;

    MishapController(
            Mishaps mishaps,
            Planning planning,
            Chargers chargers,
            Batteries batteries,
            Machines machines,
            People people) {
        this.mishaps = mishaps;
        this.planning = planning;
        this.chargers = chargers;
        this.batteries = batteries;
        this.machines = machines;
        this.people = people;
    }

    @GetMapping("/plan/wrong")
    String wrong(Words words, Model page) {
        return show(TypedForm.of(words), words, page);
    }

    private String show(TypedForm form, Words words, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("mishaps", mishaps.notOver(words.now()));
        page.addAttribute(
                "kinds", Stream.of(Kind.values()).filter(Kind::isAccident).toList());
        page.addAttribute(
                "choices",
                Map.of(
                        Kind.CHARGER_DEAD,
                                chargers.all().stream().map(c -> c.code()).toList(),
                        Kind.PERSON_AWAY,
                                people.all().stream()
                                        .filter(Person::worksOnBatteries)
                                        .map(Person::login)
                                        .toList(),
                        Kind.BATTERY_FLAT, codes(),
                        Kind.BATTERY_OUT, codes(),
                        Kind.ONE_MORE, trucks()));
        return "plan/wrong";
    }

    private List<String> codes() {
        return batteries.all().stream().map(Battery::code).toList();
    }

    private List<String> trucks() {
        return machines.all().stream()
                .filter(m -> m.kind() == MachineKind.FORKLIFT)
                .map(Machine::code)
                .toList();
    }

    @PostMapping("/plan/wrong")
    Object say(
            @RequestParam Map<String, String> typed, Person person, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Kind kind = form.choice("kind", Kind.class).orElse(null);
        String about = form.get("about");
        int hours = form.whole("hours", 1, MOST_HOURS);
        @Nullable Double ah = form.get("ah").isEmpty() ? null : (Double) form.number("ah", 1, MOST_AH);
        if (kind != null && !isKnown(kind, about)) {
            form.fault("about", "fault.choose");
        }
        if (kind == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, words, page), page);
        }
        Instant from = words.now();
        mishaps.add(kind, about, from, from.plus(Duration.ofHours(hours)), ah, person.id(), from);
        planning.again(words.text("plan.mishap." + kind, about), person.id());
        flash.addFlashAttribute("told", words.text("plan.mishap.told"));
        return "redirect:/plan";
    }

    private boolean isKnown(Kind kind, String about) {
        return switch (kind) {
            case CHARGER_DEAD -> chargers.byCode(about).isPresent();
            case PERSON_AWAY -> people.byLogin(about).isPresent();
            case BATTERY_FLAT, BATTERY_OUT -> batteries.byCode(about).isPresent();
            case ONE_MORE -> machines.byCode(about).isPresent();
            case NOT_THERE -> false;
        };
    }

    @PostMapping("/plan/wrong/{id}/over")
    String over(@PathVariable long id, Person person, Words words, RedirectAttributes flash) {
        mishaps.over(id, words.now());
        planning.again(words.text("plan.because.over"), person.id());
        flash.addFlashAttribute("told", words.text("plan.mishap.over"));
        return "redirect:/plan";
    }
}
