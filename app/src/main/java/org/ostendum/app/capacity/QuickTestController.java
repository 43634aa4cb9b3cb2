package org.ostendum.app.capacity;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.capacity.LoadTest;
import org.ostendum.core.capacity.WorkedHours;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Quick looks at what a battery can give: the load tester's, and how long it lasted in its machine. */
@Controller
class QuickTestController {
    private static final Celsius ROOM = Celsius.of(25);

    private final BatteryRecord record;

    QuickTestController(BatteryRecord record) {
        this.record = record;
    }

    @PostMapping("/batteries/{battery}/capacity/load")
    String load(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        int cells = battery.type().model().cells();
        double amperes = form.number("load-amps", 10, 2000);
        int seconds = form.whole("load-seconds", 5, 30);
        double volts = form.number("load-volts", 0, 2.5 * cells);
        @Nullable
        Celsius celsius =
                TypedInput.temperature(form.get("load-celsius"), words).orTell("load-celsius", form);
        if (form.isSound()) {
            LoadTest test = test(form, amperes, seconds, volts, cells, celsius == null ? ROOM : celsius);
            if (!form.isSound()) {
                refused(form, List.of("load-good", "load-weak"), typed, flash);
                return "redirect:/batteries/" + battery.code() + "/capacity#quick";
            }
            String told = words.text(
                    "capacity.load.told." + test.shown(),
                    amperes,
                    seconds,
                    volts,
                    test.perCell(),
                    test.good(),
                    test.weak());
            keep(battery, told, person, words, flash);
        } else {
            refused(form, List.of("load-amps", "load-seconds", "load-volts", "load-celsius"), typed, flash);
        }
        return "redirect:/batteries/" + battery.code() + "/capacity#quick";
    }

    /** By the limits of the battery's own sheet, volts of the whole battery; by the usual table where none are typed. */
    private static LoadTest test(
            TypedForm form, double amperes, int seconds, double volts, int cells, Celsius celsius) {
        LoadTest usual = LoadTest.usual(amperes, seconds, volts, cells, celsius);
        double good =
                form.get("load-good").isEmpty() ? usual.good() * cells : form.number("load-good", cells, 2.2 * cells);
        double weak =
                form.get("load-weak").isEmpty() ? usual.weak() * cells : form.number("load-weak", 0.5 * cells, good);
        return form.isSound() ? new LoadTest(amperes, seconds, volts, cells, good / cells, weak / cells) : usual;
    }

    @PostMapping("/batteries/{battery}/capacity/hours")
    String hours(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        double hours = form.number("hours", 0, 24);
        if (form.isSound()) {
            WorkedHours worked = new WorkedHours(hours);
            String told = words.text(
                    worked.isEnough() ? "capacity.hours.told.enough" : "capacity.hours.told.short",
                    hours,
                    Math.round(worked.part() * 100));
            keep(battery, told, person, words, flash);
        } else {
            refused(form, List.of("hours"), typed, flash);
        }
        return "redirect:/batteries/" + battery.code() + "/capacity#quick";
    }

    private void keep(Battery battery, String told, Person person, Words words, RedirectAttributes flash) {
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), person.id(), null, told)));
        flash.addFlashAttribute("told", told);
    }

    /** What was typed goes with the fault, so that nothing is lost. */
    private static void refused(
            TypedForm form, List<String> fields, Map<String, String> typed, RedirectAttributes flash) {
        fields.stream()
                .map(form.faults()::of)
                .filter(fault -> fault != null)
                .findFirst()
                .ifPresent(fault -> flash.addFlashAttribute("fault", fault));
        flash.addFlashAttribute("quick", typed);
    }
}
