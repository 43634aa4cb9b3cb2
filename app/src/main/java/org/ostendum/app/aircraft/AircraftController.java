package org.ostendum.app.aircraft;

import java.util.List;
import java.util.Map;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.aircraft.Regulator;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** An aircraft's battery on the bench: its tag, the aircraft's regulator, and the paper of a conversion. */
@Controller
class AircraftController {
    private static final int MOST_TEXT = 300;
    private static final int LEAST_TEXT = 3;

    private final BenchPage bench;
    private final BatteryRecord record;

    AircraftController(BenchPage bench, BatteryRecord record) {
        this.bench = bench;
        this.record = record;
    }

    @GetMapping("/batteries/{battery}/aircraft")
    String bench(Battery battery, Words words, Model page) {
        return bench.show(battery, TypedForm.of(words), "", words, page);
    }

    /** To be printed and hung on the battery. */
    @GetMapping("/batteries/{battery}/aircraft/tag")
    String tag(Battery battery, Words words, Model page) {
        bench.show(battery, TypedForm.of(words), "", words, page);
        return "aircraft/tag";
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
            return bench.refused(battery, form, "", words, page);
        }
        Regulator read = new Regulator(volts, cells);
        String told = words.text("aircraft.regulator.told." + read.shown(), volts, read.least(), read.most());
        return keep(battery, told, person, words, flash);
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
            return bench.refused(battery, form, "", words, page);
        }
        String told =
                words.text("aircraft.conversion.told", form.get("data"), form.get("deactivated"), form.get("done-by"));
        return keep(battery, told, person, words, flash);
    }

    private String keep(Battery battery, String told, Person person, Words words, RedirectAttributes flash) {
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), person.id(), null, told)));
        flash.addFlashAttribute("told", told);
        return "redirect:" + BenchPage.addressOf(battery);
    }
}
