package org.ostendum.app.safety;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Person;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.StationState.Standing;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What stands ready in each room, and who may do what. */
@Controller
class SafetyController {
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

    /** A thing looked after and how it stands today. */
    record StationLine(Stations.Station station, Standing standing, @Nullable LocalDate due) {
        /** @return name of the severity that marks it */
        public String mark() {
            return switch (standing) {
                case READY -> "FIT";
                case SOON -> "WATCH";
                case OVERDUE, NEVER_CHECKED, FOUND_WANTING, EXPIRED ->
                    station.state().check().isNeededBeforeCaps() ? "STOP" : "ACT";
            };
        }
    }

    record RoomStations(Rooms.RoomName room, List<StationLine> lines) {}

    /** Until when one training of a person counts; null when it was never held. */
    record Until(Training training, @Nullable LocalDate until, boolean counts) {}

    record PersonTrained(Person person, List<Until> trainings) {}

    @GetMapping("/safety")
    String safety(Words words, Model page) {
        return show(TypedForm.of(words), words, page);
    }

    private String show(TypedForm form, Words words, Model page) {
        Rules rules = batteryStates.rulebook().siteRules();
        List<RoomStations> byRoom = rooms.names().stream()
                .map(room -> new RoomStations(
                        room,
                        stations.of(room.id()).stream()
                                .map(s -> line(s, rules, words))
                                .toList()))
                .toList();
        Map<Long, Trained> trained = trainings.all();
        page.addAttribute("place", "jobs");
        page.addAttribute("rooms", byRoom);
        page.addAttribute(
                "bad",
                byRoom.stream()
                        .flatMap(r -> r.lines().stream())
                        .filter(l -> !l.standing().canBeReliedOn())
                        .toList());
        page.addAttribute(
                "people",
                people.all().stream()
                        .filter(Person::active)
                        .map(p -> new PersonTrained(
                                p, untils(trained.getOrDefault(p.id(), Trained.NOTHING), rules, words)))
                        .toList());
        page.addAttribute("trainings", Training.values());
        page.addAttribute("checks", StationCheck.values());
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

    @PostMapping("/safety/stations/{id}")
    Object check(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Stations.Station station = stations.byId(id).orElseThrow(() -> new NotFound("station " + id));
        TypedForm form = new TypedForm(typed, words);
        boolean sound = form.get("sound").equals("true");
        String remark = form.get("remark");
        if (!sound && remark.length() < 3) {
            form.fault("remark-" + id, "station.fault.remark");
        } else if (remark.length() > 400) {
            form.fault("remark-" + id, "fault.length", remark.substring(0, 20) + "…", 400);
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, words, page), page);
        }
        stations.check(id, sound, remark, person.id());
        flash.addFlashAttribute("told", words.text(sound ? "station.sound" : "station.wanting", station.name()));
        return "redirect:/safety";
    }

    @PostMapping("/safety/stations")
    Object add(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String name = form.text("name", 80);
        Optional<StationCheck> kind = form.choice("kind", StationCheck.class);
        Optional<Rooms.RoomName> room = rooms.names().stream()
                .filter(r -> r.code().equals(form.get("room")))
                .findFirst();
        if (room.isEmpty()) {
            form.fault("room", "fault.choose");
        }
        if (form.isSound() && kind.isPresent() && room.isPresent()) {
            try {
                long station = stations.add(room.get().id(), kind.get(), name);
                if (kind.get() == StationCheck.SPILL_KIT) {
                    flash.addFlashAttribute("told", words.text("kit.new", name));
                    return "redirect:/safety/stations/" + station + "/kit";
                }
                flash.addFlashAttribute("told", words.text("setup.kept", name));
                return "redirect:/safety";
            } catch (DuplicateKeyException e) {
                form.fault("name", "fault.taken", name);
            }
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, words, page), page);
    }

    @PostMapping("/safety/trainings")
    Object train(
            @RequestParam Map<String, String> typed,
            Person recorder,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Optional<Training> kind = form.choice("training", Training.class);
        LocalDate heldOn = form.day("held", LocalDate.ofInstant(words.now(), zone));
        if (heldOn == null && form.faults().of("held") == null) {
            form.fault("held", "fault.blank");
        }
        Long personId = form.id("person");
        Optional<Person> person = personId == null ? Optional.empty() : people.byId(personId);
        if (person.isEmpty()) {
            form.fault("person", "fault.choose");
        }
        if (!form.isSound() || heldOn == null || kind.isEmpty() || person.isEmpty()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, words, page), page);
        }
        trainings.hold(person.get().id(), kind.get(), heldOn, recorder.id());
        flash.addFlashAttribute(
                "told", words.text("training.kept", person.get().name(), words.name(kind.get()), heldOn));
        return "redirect:/safety#trainings";
    }
}
