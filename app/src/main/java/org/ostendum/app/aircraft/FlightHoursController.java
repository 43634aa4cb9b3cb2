package org.ostendum.app.aircraft;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.aircraft.FlightHours.Flown;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblem;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.form.PlainDay;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Hours flown, as lines of {@code aircraft, date, hours}: taken whole or not at all. */
@Controller
class FlightHoursController {
    private static final List<String> COLUMNS = List.of("aircraft", "date", "hours");
    private static final int DAY = 24;

    private final BenchPage bench;
    private final FlightLog log;
    private final Machines machines;

    FlightHoursController(BenchPage bench, FlightLog log, Machines machines) {
        this.bench = bench;
        this.log = log;
        this.machines = machines;
    }

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
        List<Flown> flown = new ArrayList<>();
        CsvFile.read(new StringReader(csv), COLUMNS, COLUMNS, problems, row -> flown(row, problems, words)
                .ifPresent(flown::add));
        problems.tell(form, "csv");
        if (!form.isSound()) {
            return bench.refused(battery, form, csv, words, page);
        }
        log.keep(flown, person, words);
        flash.addFlashAttribute("told", words.text("aircraft.hours.kept", flown.size()));
        return "redirect:" + BenchPage.addressOf(battery);
    }

    private Optional<Flown> flown(CsvRow row, CsvProblems problems, Words words) {
        String code = row.needed("aircraft");
        String day = row.needed("date");
        double hours = row.number("hours", 0, DAY).orElse(0);
        if (!row.isSound()) {
            return Optional.empty();
        }
        @Nullable Machine machine = machines.byCode(code).orElse(null);
        @Nullable LocalDate on = PlainDay.parse(day).orElse(null);
        if (on == null) {
            problems.add(new CsvProblem(row.line(), "date", day, words.text("aircraft.hours.date")));
        } else if (machine == null) {
            problems.add(new CsvProblem(row.line(), "aircraft", code, words.text("aircraft.hours.aircraft")));
        } else {
            return Optional.of(new Flown(machine.id(), on, hours));
        }
        return Optional.empty();
    }
}
