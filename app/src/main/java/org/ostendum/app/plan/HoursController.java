package org.ostendum.app.plan;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.house.Hours;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** When machines are needed and people are there: what the plan plans for. */
@Controller
class HoursController {
    private static final double MOST_AH = 5000;

    private final Hours hours;
    private final Machines machines;
    private final People people;

    HoursController(Hours hours, Machines machines, People people) {
        this.hours = hours;
        this.machines = machines;
        this.people = people;
    }

    @GetMapping("/plan/hours")
    String hours(Words words, Model page) {
        return show(TypedForm.of(words), page);
    }

    private String show(TypedForm form, Model page) {
        List<Machine> fleet = machines.all();
        List<Person> workers =
                people.all().stream().filter(Person::worksOnBatteries).toList();
        page.addAttribute("place", "plan");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("machines", fleet);
        page.addAttribute("workers", workers);
        page.addAttribute("days", DayOfWeek.values());
        page.addAttribute("ofMachines", HoursLine.byOwner(hours.ofMachines()));
        page.addAttribute("ofPeople", HoursLine.byOwner(hours.ofPeople()));
        return "plan/hours";
    }

    @PostMapping("/plan/hours")
    Object add(@RequestParam MultiValueMap<String, String> sent, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(sent.toSingleValueMap(), words);
        LocalTime from = time(form, "from").orElse(LocalTime.MIN);
        LocalTime until = time(form, "until").orElse(LocalTime.MIN);
        List<DayOfWeek> days = days(sent.getOrDefault("day", List.of()));
        @Nullable Double ah = form.get("ah").isEmpty() ? null : (Double) form.number("ah", 1, MOST_AH);
        Optional<Machine> machine = machines.byCode(form.get("machine"));
        Optional<Person> person = people.byLogin(form.get("person"));
        if (days.isEmpty()) {
            form.fault("day", "plan.hours.fault.day");
        }
        if (machine.isEmpty() && person.isEmpty()) {
            form.fault(sent.containsKey("person") ? "person" : "machine", "fault.choose");
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, page), page);
        }
        for (DayOfWeek day : days) {
            machine.ifPresent(m -> hours.needMachine(m.id(), day, from, until, ah));
            person.ifPresent(p -> hours.personThere(p.id(), day, from, until));
        }
        flash.addFlashAttribute("told", words.text("plan.hours.kept"));
        return "redirect:/plan/hours";
    }

    private static List<DayOfWeek> days(List<String> words) {
        return List.of(DayOfWeek.values()).stream()
                .filter(day -> words.contains(day.name()))
                .toList();
    }

    private static Optional<LocalTime> time(TypedForm form, String field) {
        try {
            return Optional.of(LocalTime.parse(form.get(field)));
        } catch (DateTimeParseException e) {
            form.fault(field, "plan.hours.fault.time", form.get(field));
            return Optional.empty();
        }
    }

    /** @param ids joined by hyphens */
    @PostMapping("/plan/hours/{kind}/{ids}/remove")
    String remove(@PathVariable String kind, @PathVariable String ids) {
        for (String id : ids.split("-", -1)) {
            if (kind.equals("machine")) {
                hours.removeOfMachine(number(id));
            } else {
                hours.removeOfPerson(number(id));
            }
        }
        return "redirect:/plan/hours";
    }

    private static long number(String id) {
        if (!id.matches("\\d{1,18}")) {
            throw new NotFound("hours " + id);
        }
        return Long.parseLong(id);
    }
}
