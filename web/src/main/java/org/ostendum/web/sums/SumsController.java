package org.ostendum.web.sums;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.web.judgement.Logbook;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.page.TypedForm;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Person;
import org.ostendum.web.words.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The bench of calculators; an address holds its values, so that it can be sent to somebody. */
@Controller
class SumsController {
    private final SumBook book;

    private final Batteries batteries;
    private final Logbook logbook;

    SumsController(SumBook book, Batteries batteries, Logbook logbook) {
        this.book = book;
        this.batteries = batteries;
        this.logbook = logbook;
    }

    @GetMapping("/sums")
    String first() {
        return "redirect:/sums/" + book.all().get(0).name();
    }

    @GetMapping("/sums/{name}")
    String sum(@PathVariable String name, @RequestParam Map<String, String> typed, Words words, Model page) {
        Sum sum = book.find(name).orElseThrow(() -> new NotFound("sum " + name));
        Map<String, String> shown = new LinkedHashMap<>();
        sum.inputs().forEach(i -> shown.put(i.name(), typed.getOrDefault(i.name(), plain(i.usual()))));
        TypedForm form = new TypedForm(shown, words);
        Map<String, Double> values = new LinkedHashMap<>();
        sum.inputs().forEach(i -> values.put(i.name(), form.number(i.name(), i.least(), i.most())));
        page.addAttribute("battery", typed.getOrDefault("battery", ""));
        page.addAttribute("place", "sums");
        page.addAttribute("sums", book.all());
        page.addAttribute("sum", sum);
        page.addAttribute("form", form);
        page.addAttribute("results", form.isSound() ? work(sum, values, form) : List.of());
        page.addAttribute("values", values);
        page.addAttribute("faults", form.faults());
        page.addAttribute("drawing", form.isSound() ? SumDrawing.of(sum, values) : null);
        return "sums/sum";
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
        String shown = sum(name, typed, words, page);
        Optional<Battery> battery = batteries.byCode(typed.getOrDefault("battery", ""));
        if (!(page.getAttribute("results") instanceof List<?> results) || results.isEmpty()) {
            return shown;
        }
        if (battery.isEmpty()) {
            page.addAttribute("noBattery", words.text("fault.choose"));
            return shown;
        }
        Sum sum = book.find(name).orElseThrow(() -> new NotFound("sum " + name));
        NewEntry line = NewEntry.of(EntryKind.NOTE, words.now(), person.id(), null, text(sum, typed, results, words));
        logbook.write(battery.get(), List.of(line));
        flash.addFlashAttribute("told", words.text("sums.kept", battery.get().code()));
        return "redirect:/batteries/" + battery.get().code();
    }

    /** The results first, then the values they came from. */
    private static String text(Sum sum, Map<String, String> typed, List<?> results, Words words) {
        List<String> parts = new ArrayList<>();
        for (Object result : results) {
            if (result instanceof Sum.Output out) {
                String number = BigDecimal.valueOf(out.value())
                        .setScale(out.digits(), RoundingMode.HALF_UP)
                        .toPlainString();
                parts.add(words.text("sum.value." + out.name()) + " " + number + " " + out.unit());
            }
        }
        for (Sum.Input input : sum.inputs()) {
            parts.add(words.text("sum.value." + input.name()) + " "
                    + typed.getOrDefault(input.name(), plain(input.usual())) + " " + input.unit());
        }
        return words.text("sums.line", words.text("sum." + sum.name()), String.join("; ", parts));
    }

    private static List<Sum.Output> work(Sum sum, Map<String, Double> values, TypedForm form) {
        try {
            return sum.work(values);
        } catch (OutOfRange e) {
            Sum.Input last = sum.inputs().get(sum.inputs().size() - 1);
            form.fault(last.name(), "sums.together", e.quantity(), e.value(), e.least(), e.most());
            return List.of();
        }
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
