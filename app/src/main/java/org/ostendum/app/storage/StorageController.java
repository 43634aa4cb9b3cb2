package org.ostendum.app.storage;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblem;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.draw.OutlookDrawing;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.LayUps;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.app.words.Words;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.storage.Climate;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The board of all that is put away, laying up a whole row, looking in, and the places with their climate. */
@Controller
class StorageController {
    /** Days before the latest charge from which it presses. */
    private static final int SOON = 7;

    private static final int MONTHS = 12;
    private static final int MOST_NAME = 80;

    private final Storing storing;
    private final Stays stays;
    private final Batteries batteries;
    private final BatteryStates states;
    private final LayUps layUps;

    StorageController(Storing storing, Stays stays, Batteries batteries, BatteryStates states, LayUps layUps) {
        this.storing = storing;
        this.stays = stays;
        this.batteries = batteries;
        this.states = states;
        this.layUps = layUps;
    }

    /** A line with its drawing. */
    record Drawn(Storing.Line line, OutlookDrawing drawing) {}

    @GetMapping("/storage")
    String board(Words words, Model page) {
        return show(TypedForm.of(words), "", words, page);
    }

    private String show(TypedForm form, String csv, Words words, Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), words.zone());
        page.addAttribute("place", "fleet");
        page.addAttribute("today", today);
        page.addAttribute("soon", SOON);
        page.addAttribute(
                "lines",
                storing.lines().stream()
                        .map(line -> new Drawn(line, OutlookDrawing.of(line.outlook(), today)))
                        .toList());
        Storing.Others others = storing.others();
        page.addAttribute("dry", others.dry());
        page.addAttribute("planned", layUps.open());
        page.addAttribute("sheds", stays.places());
        page.addAttribute("supplies", Supply.values());
        page.addAttribute("free", others.inService());
        page.addAttribute("form", form);
        page.addAttribute("csv", csv);
        page.addAttribute("faults", form.faults());
        return "storage/board";
    }

    /** One job for each battery: a whole row at once. What cannot be begun is told by name and keeps no other from it. */
    @PostMapping("/storage/lay-up")
    Object layUp(
            @RequestParam(defaultValue = "") List<String> battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Supply supply = form.choice("supply", Supply.class).orElse(null);
        List<String> codes = codes(battery, form.get("codes"));
        if (codes.isEmpty()) {
            form.fault("codes", "storage.none-picked");
        }
        for (String code : codes) {
            if (batteries.byCode(code).isEmpty()) {
                form.fault("codes", "storage.unknown", code);
            }
        }
        if (supply == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, "", words, page), page);
        }
        @Nullable Long place = place(form.get("where")).orElse(null);
        List<String> refused = new ArrayList<>();
        int begun = 0;
        for (String code : codes) {
            Battery one = batteries.byCode(code).orElseThrow();
            Optional<String> why = layUps.begin(one, person, words);
            if (why.isPresent()) {
                refused.add(code + ": " + why.get());
            } else {
                stays.say(one.id(), place, supply);
                begun++;
            }
        }
        if (!refused.isEmpty()) {
            flash.addFlashAttribute("fault", String.join(" ", refused));
        }
        if (begun > 0) {
            flash.addFlashAttribute("told", words.text("storage.begun", begun));
        }
        return "redirect:/storage";
    }

    private static List<String> codes(List<String> picked, String typed) {
        LinkedHashSet<String> codes = new LinkedHashSet<>(picked);
        codes.remove("");
        for (String code : typed.split("[\\s,;]+", -1)) {
            if (!code.isEmpty()) {
                codes.add(code);
            }
        }
        return List.copyOf(codes);
    }

    private Optional<Long> place(String name) {
        return stays.places().stream()
                .filter(place -> place.name().equals(name))
                .map(Stays.Place::id)
                .findFirst();
    }

    @PostMapping("/batteries/{battery}/storage/look")
    Object look(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Stay stay = stays.openOf(battery.id()).orElseThrow(() -> new NotFound("stay of " + battery.code()));
        TypedForm form = new TypedForm(typed, words);
        @Nullable SpecificGravity sg = TypedInput.gravity(form.get("sg"), words).orTell("sg", form);
        @Nullable
        Celsius celsius = TypedInput.temperature(form.get("celsius"), words).orTell("celsius", form);
        if (sg != null && celsius == null) {
            form.fault("celsius", "storage.celsius-wanted");
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, "", words, page), page);
        }
        TemperatureCorrection correction = states.rulesFor(battery).temperatureCorrection();
        @Nullable CorrectedGravity gravity = sg == null || celsius == null ? null : correction.correct(sg, celsius);
        String power = form.get("power");
        @Nullable Boolean on = power.isEmpty() ? null : (Boolean) power.equals("on");
        String told = words.text(
                "storage.look.told" + (on == null ? "" : on ? ".on" : ".off"),
                gravity == null ? "–" : words.gravity(gravity));
        storing.look(battery, stay, on, gravity, told, person);
        flash.addFlashAttribute(
                Boolean.FALSE.equals(on) ? "fault" : "told",
                words.text(Boolean.FALSE.equals(on) ? "storage.look.off" : "storage.look.kept", battery.code()));
        return "redirect:/storage#" + battery.code();
    }

    /** Where it stands and on what, said afterwards. */
    @PostMapping("/batteries/{battery}/storage/place")
    String move(Battery battery, @RequestParam Map<String, String> typed, Words words, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        form.choice("supply", Supply.class)
                .ifPresent(supply ->
                        stays.say(battery.id(), place(form.get("where")).orElse(null), supply));
        flash.addFlashAttribute("told", words.text("storage.moved", battery.code()));
        return "redirect:/storage#" + battery.code();
    }

    /** A place with its twelve months: {@code month, mean_c, coldest_c}. */
    @PostMapping("/storage/places")
    Object place(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String name = form.get("name");
        String csv = typed.getOrDefault("months", "");
        if (name.isEmpty() || name.length() > MOST_NAME) {
            form.fault("name", "storage.name-wanted", MOST_NAME);
        }
        CsvProblems problems = new CsvProblems();
        Climate.Month[] months = new Climate.Month[MONTHS];
        CsvFile.read(
                new StringReader(csv),
                List.of("month", "mean_c", "coldest_c"),
                List.of("month", "mean_c", "coldest_c"),
                problems,
                row -> {
                    int month = row.whole("month", 1, MONTHS);
                    double mean = row.number("mean_c", -40, 50).orElse(0);
                    double coldest = row.number("coldest_c", -50, mean).orElse(mean);
                    if (row.isSound()) {
                        months[month - 1] = new Climate.Month(mean, coldest);
                    }
                });
        for (CsvProblem problem : problems.first()) {
            form.fault("months", "storage.csv", problem.line(), problem.column(), problem.value(), problem.expected());
        }
        List<Climate.Month> all = new ArrayList<>();
        for (int month = 0; month < MONTHS; month++) {
            if (months[month] != null) {
                all.add(months[month]);
            } else if (form.faults().of("months") == null) {
                form.fault("months", "storage.month-missing", month + 1);
            }
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, csv, words, page), page);
        }
        stays.keep(name, new Climate(all));
        flash.addFlashAttribute("told", words.text("storage.place.kept", name));
        return "redirect:/storage";
    }
}
