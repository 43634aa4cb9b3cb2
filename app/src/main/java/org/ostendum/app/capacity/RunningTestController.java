package org.ostendum.app.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.device.LoadBanks;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A discharge test under way: read by hand or by the load bank, ended with what it came to. */
@Controller
class RunningTestController {
    private final CapacityTests tests;
    private final Testing testing;
    private final LoadBanks banks;
    private final Batteries batteries;
    private final Recharge recharge;

    RunningTestController(
            CapacityTests tests, Testing testing, LoadBanks banks, Batteries batteries, Recharge recharge) {
        this.tests = tests;
        this.testing = testing;
        this.banks = banks;
        this.batteries = batteries;
        this.recharge = recharge;
    }

    private CapacityTest test(long id) {
        return tests.byId(id).orElseThrow(() -> new NotFound("capacity test " + id));
    }

    @GetMapping("/capacity/{id}")
    String running(@PathVariable long id, Words words, Model page) {
        return show(test(id), TypedForm.of(words), page);
    }

    private String show(CapacityTest test, TypedForm form, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("view", TestView.of(test, testing.course(test)));
        page.addAttribute(
                "recharge",
                test.isOpen()
                        ? null
                        : batteries
                                .byId(test.batteryId())
                                .flatMap(recharge::openOf)
                                .orElse(null));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "capacity/test";
    }

    /** What a person has read. Its time is now, or as many minutes under load as he says. */
    @PostMapping("/capacity/{id}/row")
    Object row(@PathVariable long id, @RequestParam Map<String, String> typed, Person person, Words words, Model page) {
        CapacityTest test = test(id);
        TypedForm form = new TypedForm(typed, words);
        TestRow row = row(test, form, words.now());
        if (row == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(test, form, page), page);
        }
        testing.read(test, row, person.id(), words.now());
        return "redirect:/capacity/" + id;
    }

    private @Nullable TestRow row(CapacityTest test, TypedForm form, Instant now) {
        if (!test.isOpen()) {
            form.fault("volts", "capacity.over");
            return null;
        }
        int cells = test.sheet().cells();
        double volts = form.number("volts", 0.5 * cells, 2.5 * cells);
        double amperes = form.get("amps").isEmpty() ? test.sheet().amperes().amperes() : form.number("amps", 0.5, 1000);
        Duration since = Duration.between(test.begun().at(), now);
        Duration elapsed = form.get("minutes").isEmpty()
                ? since
                : Duration.ofSeconds(Math.round(60 * form.number("minutes", 0, since.toMinutes() + 1.0)));
        TestRow last = testing.course(test).last().orElse(null);
        if (last != null && elapsed.compareTo(last.elapsed()) <= 0) {
            form.fault(
                    "minutes",
                    "capacity.row.before",
                    elapsed.toMinutes(),
                    last.elapsed().toMinutes());
        }
        List<Double> leads = leads(test, form);
        return form.isSound() ? new TestRow(elapsed, volts, amperes, leads) : null;
    }

    /** All leads or none: a line with gaps says of none which it is. */
    private static List<Double> leads(CapacityTest test, TypedForm form) {
        String text = form.get("leads");
        if (text.isEmpty()) {
            return List.of();
        }
        String[] parts = text.split("[\\s;]+", -1);
        if (parts.length != test.sheet().leads()) {
            form.fault(
                    "leads", "capacity.leads.count", parts.length, test.sheet().leads());
            return List.of();
        }
        List<Double> leads = new ArrayList<>();
        for (String part : parts) {
            leads.add(form.number("leads", part, -2.5, 3.0 * test.sheet().cellsPerLead()));
        }
        return leads;
    }

    /** The load bank has let go: a person goes on with his own load and meter. */
    @PostMapping("/capacity/{id}/by-hand")
    String byHand(@PathVariable long id, RedirectAttributes flash, Words words) {
        tests.resumed(test(id).id(), false);
        flash.addFlashAttribute("told", words.text("capacity.by-hand.told"));
        return "redirect:/capacity/" + id;
    }

    @PostMapping("/capacity/{id}/stop")
    Object stop(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        CapacityTest test = test(id);
        TypedForm form = new TypedForm(typed, words);
        String reason = form.get("reason");
        if (!CapacityController.isReason(reason)) {
            form.fault("reason", "capacity.stop.reason-wanted");
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(test, form, page), page);
        }
        if (test.isOpen() && test.isByBank() && !banks.stop()) {
            flash.addFlashAttribute("fault", words.text("capacity.bank.not-stopped"));
        }
        testing.end(test, EndKind.BROKEN_OFF, reason, person.id(), words.now());
        return "redirect:/capacity/" + id;
    }
}
