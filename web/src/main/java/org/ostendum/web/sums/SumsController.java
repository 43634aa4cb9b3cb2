package org.ostendum.web.sums;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ostendum.core.quantity.OutOfRange;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.page.TypedForm;
import org.ostendum.web.words.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The bench of calculators; an address holds its values, so that it can be sent to somebody. */
@Controller
class SumsController {
    private final SumBook book;

    SumsController(SumBook book) {
        this.book = book;
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
