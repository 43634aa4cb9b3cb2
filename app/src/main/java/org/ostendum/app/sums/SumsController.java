package org.ostendum.app.sums;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The bench of calculators; an address holds its values and their units, so that it can be sent to somebody. */
@Controller
class SumsController {
    private final SumCatalogue book;
    private final SumStarts starts;
    private final Batteries batteries;
    private final BatteryRecord batteryRecord;

    SumsController(SumCatalogue book, SumStarts starts, Batteries batteries, BatteryRecord batteryRecord) {
        this.book = book;
        this.starts = starts;
        this.batteries = batteries;
        this.batteryRecord = batteryRecord;
    }

    @GetMapping("/sums")
    String first() {
        return "redirect:/sums/" + book.all().get(0).name();
    }

    @GetMapping("/sums/{name}")
    String sum(@PathVariable String name, @RequestParam Map<String, String> typed, Words words, Model page) {
        return show(view(find(name), typed, words), page);
    }

    private static String show(SumView view, Model page) {
        page.addAttribute("place", "sums");
        page.addAttribute("view", view);
        return "sums/sum";
    }

    private Sum find(String name) {
        return book.find(name).orElseThrow(() -> new NotFound("sum " + name));
    }

    private SumView view(Sum sum, Map<String, String> typed, Words words) {
        String from = typed.getOrDefault("from", "").strip();
        Optional<Map<String, Double>> start = starts.of(from);
        Measures typedIn = Measures.of(typed.getOrDefault("in", ""));
        SumSheet sheet = new SumSheet(sum, typed, typedIn, start.orElse(Map.of()), words);
        return new SumView(
                book.all(),
                sum,
                sheet,
                from,
                batteries.byCode(from).isPresent(),
                starts.codes(),
                from.isEmpty() || start.isPresent() ? null : words.text("sums.from.none", from),
                sheet.metric("missingAmpereHours")
                        .flatMap(missing -> starts.ownCharge(from, missing))
                        .orElse(null),
                null);
    }

    /** Writes what was worked out on a battery's ledger, with the values it came from. */
    @PostMapping("/sums/{name}")
    String keep(
            @PathVariable String name,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        SumView view = view(find(name), typed, words);
        String code = typed.getOrDefault("battery", "").strip();
        Optional<Battery> battery = batteries.byCode(code);
        if (battery.isEmpty()) {
            return show(view.without(words.text("sums.keep.none", code)), page);
        } else if (!view.sheet().isWorked()) {
            return show(view, page);
        }
        NewEntry line = NewEntry.of(
                EntryKind.NOTE, words.now(), person.id(), null, view.sheet().line());
        batteryRecord.record(battery.get(), List.of(line));
        flash.addFlashAttribute("told", words.text("sums.kept", battery.get().code()));
        return "redirect:/batteries/" + battery.get().code();
    }
}
