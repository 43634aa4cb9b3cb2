package org.ostendum.app.aircraft;

import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblem;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.PlainDay;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.aircraft.Regulator;
import org.ostendum.core.aircraft.Serviceable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** An aircraft's battery on the bench. */
@Controller
class AircraftController {
    private static final int MOST_TEXT = 300;
    private static final int LEAST_TEXT = 3;
    private static final int MOST_LICENCE = 40;

    private final BatteryStates states;
    private final BatteryRecord record;
    private final Signing signing;
    private final FlightHours hours;
    private final Machines machines;

    AircraftController(
            BatteryStates states, BatteryRecord record, Signing signing, FlightHours hours, Machines machines) {
        this.states = states;
        this.record = record;
        this.signing = signing;
        this.hours = hours;
        this.machines = machines;
    }

    @GetMapping("/batteries/{battery}/aircraft")
    String bench(Battery battery, Words words, Model page) {
        return show(battery, TypedForm.of(words), "", words, page);
    }

    private String show(Battery battery, TypedForm form, String csv, Words words, Model page) {
        if (battery.type().model().duty() != Duty.AIRCRAFT) {
            throw new NotFound("aircraft bench of " + battery.code());
        }
        BatteryState state = states.stateOf(battery);
        List<Serviceable.Asked> asked = Serviceable.of(state);
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("state", state);
        page.addAttribute("asked", asked);
        page.addAttribute("serviceable", Serviceable.isServiceable(asked));
        page.addAttribute("unsigned", signing.unsigned(battery));
        page.addAttribute("signatures", signing.of(battery));
        page.addAttribute("flown", flown(battery, words));
        page.addAttribute("regulator", new Regulator(0, battery.type().model().cells()));
        page.addAttribute("csv", csv);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "aircraft/bench";
    }

    /** Hours since it was last charged; null where it is in no aircraft. */
    private @Nullable Double flown(Battery battery, Words words) {
        Long machine = battery.machineId();
        Instant charged = states.stateOf(battery).charging().chargeEnded();
        LocalDate since = charged == null ? battery.inServiceOn() : LocalDate.ofInstant(charged, words.zone());
        return machine == null ? null : (Double) hours.since(machine, since);
    }

    @PostMapping("/batteries/{battery}/aircraft/sign")
    Object sign(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String licence = form.get("licence");
        if (licence.length() < LEAST_TEXT || licence.length() > MOST_LICENCE) {
            form.fault("licence", "aircraft.licence-wanted", LEAST_TEXT, MOST_LICENCE);
        }
        if (!signing.isSure(person, typed.getOrDefault("password", ""))) {
            form.fault("password", "aircraft.password-wrong");
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, "", words, page), page);
        }
        signing.sign(battery, licence, person);
        flash.addFlashAttribute("told", words.text("aircraft.signed", battery.code()));
        return "redirect:/batteries/" + battery.code() + "/aircraft";
    }

    @PostMapping("/batteries/{battery}/aircraft/regulator")
    Object regulator(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        int cells = battery.type().model().cells();
        double volts = form.number("volts", cells, 3.0 * cells);
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, "", words, page), page);
        }
        Regulator read = new Regulator(volts, cells);
        return keep(
                battery,
                words.text("aircraft.regulator.told." + read.shown(), volts, read.least(), read.most()),
                person,
                words,
                flash);
    }

    /** The paper of a conversion: by which approved data, what was deactivated, and who did it. */
    @PostMapping("/batteries/{battery}/aircraft/conversion")
    Object conversion(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        for (String field : List.of("data", "deactivated", "done-by")) {
            String text = form.get(field);
            if (text.length() < LEAST_TEXT || text.length() > MOST_TEXT) {
                form.fault(field, "aircraft.conversion.wanted", LEAST_TEXT, MOST_TEXT);
            }
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, "", words, page), page);
        }
        return keep(
                battery,
                words.text("aircraft.conversion.told", form.get("data"), form.get("deactivated"), form.get("done-by")),
                person,
                words,
                flash);
    }

    private String keep(Battery battery, String told, Person person, Words words, RedirectAttributes flash) {
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), person.id(), null, told)));
        flash.addFlashAttribute("told", told);
        return "redirect:/batteries/" + battery.code() + "/aircraft";
    }

    /** Hours flown, as lines of {@code aircraft, date, hours}: taken whole or not at all. */
    @PostMapping("/batteries/{battery}/aircraft/hours")
    Object hours(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String csv = typed.getOrDefault("csv", "");
        CsvProblems problems = new CsvProblems();
        record Flown(long machine, LocalDate day, double hours) {}
        List<Flown> flown = new ArrayList<>();
        List<String> columns = List.of("aircraft", "date", "hours");
        CsvFile.read(new StringReader(csv), columns, columns, problems, row -> {
            String code = row.needed("aircraft");
            double hours = row.number("hours", 0, 24).orElse(0);
            @Nullable LocalDate day = PlainDay.parse(row.needed("date")).orElse(null);
            @Nullable Long machine = machines.byCode(code).map(m -> m.id()).orElse(null);
            if (row.isSound() && (day == null || machine == null)) {
                problems.add(new CsvProblem(
                        row.line(),
                        day == null ? "date" : "aircraft",
                        day == null ? row.text("date") : code,
                        words.text(day == null ? "aircraft.hours.date" : "aircraft.hours.aircraft")));
            } else if (row.isSound() && machine != null && day != null) {
                flown.add(new Flown(machine, day, hours));
            }
        });
        for (CsvProblem problem : problems.first()) {
            form.fault("csv", "storage.csv", problem.line(), problem.column(), problem.value(), problem.expected());
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, csv, words, page), page);
        }
        flown.forEach(one -> hours.keep(one.machine(), one.day(), one.hours(), person.id()));
        flash.addFlashAttribute("told", words.text("aircraft.hours.kept", flown.size()));
        return "redirect:/batteries/" + battery.code() + "/aircraft";
    }

    /** To be printed and hung on the battery. */
    @GetMapping("/batteries/{battery}/aircraft/tag")
    String tag(Battery battery, Words words, Model page) {
        show(battery, TypedForm.of(words), "", words, page);
        return "aircraft/tag";
    }
}
