package org.ostendum.app.plan.hours;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.people.People;
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

/** When machines are needed, people are there and left alone, and the house is open: what the plan plans for. */
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

    /** Whose hours they are; each has a form and a table of its own. */
    enum Kind {
        MACHINE,
        PERSON,
        QUIET,
        HOUSE;

        /** As fields and addresses have it. */
        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Optional<Kind> find(String word) {
            return Stream.of(values()).filter(kind -> kind.word().equals(word)).findFirst();
        }
    }

    /**
     * One of those whose hours are kept.
     *
     * @param code as forms send it; empty for the house
     */
    record Owner(long id, String code, String name) {}

    /** A kind with its owners and the hours of each. */
    record Part(Kind kind, List<Owner> owners, Map<Long, List<HoursLine>> lines) {}

    /** What has been sent of one stretch. */
    private record Sent(Kind kind, Owner owner, LocalTime from, LocalTime until, @Nullable Double ah) {}

    @GetMapping("/plan/hours")
    String hours(Words words, Model page) {
        return show(TypedForm.of(words), page);
    }

    private String show(TypedForm form, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("days", DayOfWeek.values());
        page.addAttribute(
                "parts",
                Stream.of(Kind.values())
                        .map(kind -> new Part(kind, owners(kind), HoursLine.byOwner(kept(kind))))
                        .toList());
        return "plan/hours";
    }

    private List<Owner> owners(Kind kind) {
        return switch (kind) {
            case MACHINE ->
                machines.all().stream()
                        .map(machine -> new Owner(machine.id(), machine.code(), machine.code() + " " + machine.name()))
                        .toList();
            case PERSON, QUIET ->
                people.all().stream()
                        .filter(Person::worksOnBatteries)
                        .map(person -> new Owner(person.id(), person.login(), person.name()))
                        .toList();
            case HOUSE -> List.of(new Owner(WeekHours.OF_HOUSE, "", ""));
        };
    }

    private List<WeekHours> kept(Kind kind) {
        return switch (kind) {
            case MACHINE -> hours.ofMachines();
            case PERSON -> hours.ofPeople();
            case QUIET -> hours.quietOfPeople();
            case HOUSE -> hours.ofHouse();
        };
    }

    @PostMapping("/plan/hours")
    Object add(@RequestParam MultiValueMap<String, String> sent, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(sent.toSingleValueMap(), words);
        Kind kind = Stream.of(Kind.values())
                .filter(one -> sent.containsKey(one.word()))
                .findFirst()
                .orElse(Kind.MACHINE);
        Optional<Owner> owner = owners(kind).stream()
                .filter(one -> one.code().equals(form.get(kind.word())))
                .findFirst();
        LocalTime from = time(form, "from").orElse(LocalTime.MIN);
        LocalTime until = time(form, "until").orElse(LocalTime.MIN);
        List<DayOfWeek> days = days(sent.getOrDefault("day", List.of()));
        @Nullable Double ah = form.get("ah").isEmpty() ? null : (Double) form.number("ah", 1, MOST_AH);
        if (days.isEmpty()) {
            form.fault("day", "plan.hours.fault.day");
        }
        if (owner.isEmpty()) {
            form.fault(kind.word(), "fault.choose");
        }
        if (owner.isEmpty() || !form.isSound()) {
            page.addAttribute("sentKind", kind);
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, page), page);
        }
        days.forEach(day -> keep(new Sent(kind, owner.get(), from, until, ah), day));
        flash.addFlashAttribute("told", words.text("plan.hours.kept"));
        return "redirect:/plan/hours";
    }

    private void keep(Sent sent, DayOfWeek day) {
        long id = sent.owner().id();
        switch (sent.kind()) {
            case MACHINE -> hours.needMachine(id, day, sent.from(), sent.until(), sent.ah());
            case PERSON -> hours.personThere(id, day, sent.from(), sent.until());
            case QUIET -> hours.personQuiet(id, day, sent.from(), sent.until());
            case HOUSE -> hours.houseOpen(day, sent.from(), sent.until());
        }
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
        Kind of = Kind.find(kind).orElseThrow(() -> new NotFound("hours of " + kind));
        for (String id : ids.split("-", -1)) {
            switch (of) {
                case MACHINE -> hours.removeOfMachine(number(id));
                case PERSON, QUIET -> hours.removeOfPerson(number(id));
                case HOUSE -> hours.removeOfHouse(number(id));
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
