package org.ostendum.app.safety;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import org.ostendum.app.form.Constraints;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.safety.SafetyView.PersonTrained;
import org.ostendum.app.safety.SafetyView.RoomStations;
import org.ostendum.app.safety.SafetyView.StationLine;
import org.ostendum.app.safety.SafetyView.Until;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What stands ready in each room, and who may do what. */
@Controller
class SafetyController {
    private static final Constraints CONSTRAINTS = new Constraints(Map.of("station_name_once", "name"));

    private final Rooms rooms;
    private final Stations stations;
    private final Trainings trainings;
    private final People people;
    private final BatteryStates batteryStates;
    private final ZoneId zone;

    SafetyController(
            Rooms rooms,
            Stations stations,
            Trainings trainings,
            People people,
            BatteryStates batteryStates,
            ZoneId zone) {
        this.rooms = rooms;
        this.stations = stations;
        this.trainings = trainings;
        this.people = people;
        this.batteryStates = batteryStates;
        this.zone = zone;
    }

    @GetMapping("/safety")
    String safety(Words words, Model page) {
        return show(FormView.of(StationForm.BLANK), words, page);
    }

    private String show(FormView form, Words words, Model page) {
        Rules rules = batteryStates.rulebook().siteRules();
        List<RoomStations> byRoom = rooms.names().stream()
                .map(room -> new RoomStations(
                        room,
                        stations.of(room.id()).stream()
                                .map(s -> line(s, rules, words))
                                .toList()))
                .toList();
        Map<Long, Trained> trained = trainings.all();
        List<PersonTrained> byPerson = people.all().stream()
                .filter(Person::active)
                .map(p -> new PersonTrained(p, untils(trained.getOrDefault(p.id(), Trained.NOTHING), rules, words)))
                .toList();
        page.addAttribute("place", "safety");
        page.addAttribute("view", new SafetyView(byRoom, byPerson));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "safety/safety";
    }

    private StationLine line(Stations.Station station, Rules rules, Words words) {
        var due = station.state().due(rules);
        return new StationLine(
                station,
                station.state().standing(words.now(), zone, rules),
                due == null ? null : LocalDate.ofInstant(due, zone));
    }

    private List<Until> untils(Trained trained, Rules rules, Words words) {
        LocalDate today = LocalDate.ofInstant(words.now(), zone);
        return Arrays.stream(Training.values())
                .map(t -> new Until(t, trained.until(t, rules), trained.counts(t, today, rules)))
                .toList();
    }

    @PostMapping("/safety/stations/{station}")
    Object check(
            Stations.Station station,
            @Validated @ModelAttribute("form") CheckForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (!errors.hasErrors() && form.lacksRemark()) {
            Faults.tell(errors, "remark", "station.fault.remark");
        }
        if (errors.hasErrors()) {
            page.addAttribute("checked", station.id());
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(FormView.of(errors, words), words, page), page);
        }
        stations.check(station.id(), form.isSound(), form.remarkText(), person.id());
        flash.addFlashAttribute(
                "told", words.text(form.isSound() ? "station.sound" : "station.wanting", station.name()));
        return "redirect:/safety";
    }

    @PostMapping("/safety/stations")
    Object add(
            @Validated @ModelAttribute("form") StationForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Optional<Rooms.RoomName> room = rooms.names().stream()
                .filter(r -> form != null && r.code().equals(form.room()))
                .findFirst();
        if (room.isEmpty()) {
            Faults.tell(errors, "room", "fault.choose");
        }
        AtomicLong added = new AtomicLong();
        if (!errors.hasErrors() && room.isPresent()) {
            CONSTRAINTS.keep(
                    errors,
                    () -> added.set(stations.add(room.get().id(), Objects.requireNonNull(form.kind()), form.name())));
        }
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(FormView.of(errors, words), words, page), page);
        }
        if (form.kind() == StationCheck.SPILL_KIT) {
            flash.addFlashAttribute("told", words.text("kit.new", form.name()));
            return "redirect:/safety/stations/" + added.get() + "/kit";
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.name()));
        return "redirect:/safety";
    }

    @PostMapping("/safety/trainings")
    Object train(
            @Validated @ModelAttribute("form") TrainingForm form,
            BindingResult errors,
            Person recorder,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Long personId = form == null ? null : form.person();
        Optional<Person> person = personId == null ? Optional.empty() : people.byId(personId);
        if (person.isEmpty()) {
            Faults.tell(errors, "person", "fault.choose");
        }
        if (errors.hasErrors() || person.isEmpty()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(FormView.of(errors, words), words, page), page);
        }
        Training training = Objects.requireNonNull(form.training());
        LocalDate held = Objects.requireNonNull(form.held());
        trainings.hold(person.get().id(), training, held, recorder.id());
        flash.addFlashAttribute("told", words.text("training.kept", person.get().name(), words.name(training), held));
        return "redirect:/safety#trainings";
    }
}
