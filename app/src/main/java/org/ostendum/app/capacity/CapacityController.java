package org.ostendum.app.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.device.LoadBanks;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.capacity.TestReadiness;
import org.ostendum.core.capacity.TestReadiness.Asked;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.state.fact.Heat;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Discharge tests: begun where the battery is ready for one, read while they run, ended with what they came to. */
@Controller
class CapacityController {
    private static final int SHORTEST_MINUTES = 5;
    private static final int LONGEST_MINUTES = 1800;
    private static final int LEAST_REASON = 3;
    private static final int MOST_REASON = 300;
    private static final double COLDEST = 10;
    private static final double WARMEST = 40;

    private final CapacityTests tests;
    private final Testing testing;
    private final BatteryStates states;
    private final LoadBanks banks;
    private final Batteries batteries;
    private final Recharge recharge;

    CapacityController(
            CapacityTests tests,
            Testing testing,
            BatteryStates states,
            LoadBanks banks,
            Batteries batteries,
            Recharge recharge) {
        this.tests = tests;
        this.testing = testing;
        this.states = states;
        this.banks = banks;
        this.batteries = batteries;
        this.recharge = recharge;
    }

    @GetMapping("/batteries/{battery}/capacity")
    String capacity(Battery battery, Words words, Model page) {
        return show(battery, TypedForm.of(words), words, page);
    }

    private String show(Battery battery, TypedForm form, Words words, Model page) {
        BatteryModel model = battery.type().model();
        List<CapacityTest> past = new ArrayList<>(tests.of(battery.id()));
        Collections.reverse(past);
        var state = states.stateOf(battery);
        Heat heat = state.heat().temperature();
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("open", tests.openOf(battery.id()).orElse(null));
        page.addAttribute("past", past);
        page.addAttribute("trend", CapacityTrend.of(past).orElse(null));
        page.addAttribute("asked", TestReadiness.of(state));
        page.addAttribute("kinds", TestKind.of(model.duty()));
        page.addAttribute("model", model);
        page.addAttribute("bank", banks.isThere());
        page.addAttribute("warm", heat == null ? "" : words.temperatureTyped(heat.celsius()));
        page.addAttribute("unit", Measures.of(words.person()).unit("°C"));
        return "capacity/capacity";
    }

    @PostMapping("/batteries/{battery}/capacity")
    Object begin(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        List<Asked> asked = TestReadiness.of(states.stateOf(battery));
        String reason = reason(asked, form, words);
        @Nullable TestSheet sheet = sheet(battery, form, words);
        boolean byBank = form.get("by").equals("bank");
        String busy = tests.onBank().orElse(null);
        if (byBank && busy != null) {
            form.fault("kind", "capacity.bank.busy", busy);
        }
        if (sheet == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, words, page), page);
        }
        Long id = tests.begin(battery.id(), sheet, byBank, reason, person.id(), words.now())
                .orElse(null);
        if (id == null) {
            flash.addFlashAttribute("fault", words.text("capacity.open-already"));
            return "redirect:/batteries/" + battery.code() + "/capacity";
        }
        if (byBank && !banks.start(battery, sheet)) {
            CapacityTest test = test(id);
            tests.interrupted(id, words.now());
            flash.addFlashAttribute("fault", words.text("capacity.bank.not-started", test.battery()));
        }
        return "redirect:/capacity/" + id;
    }

    /** @return why it is begun though not everything holds; faults where something that always must does not */
    private static String reason(List<Asked> asked, TypedForm form, Words words) {
        for (Asked one : asked) {
            if (one.shuts()) {
                form.fault("kind", "capacity.shut." + one.need());
            }
        }
        List<String> doubts = asked.stream()
                .filter(one -> !one.answer().isYes())
                .map(one -> words.text("capacity.need." + one.need() + "." + one.answer()))
                .toList();
        String reason = form.get("reason");
        if (!doubts.isEmpty() && (reason.length() < LEAST_REASON || reason.length() > MOST_REASON)) {
            form.fault("reason", "capacity.reason-wanted");
        }
        return doubts.isEmpty() ? "" : String.join(" ", doubts) + " " + reason;
    }

    private static @Nullable TestSheet sheet(Battery battery, TypedForm form, Words words) {
        BatteryModel model = battery.type().model();
        TestKind kind = form.choice("kind", TestKind.class)
                .filter(k -> TestKind.of(model.duty()).contains(k))
                .orElse(null);
        @Nullable
        Celsius celsius = TypedInput.temperature(form.get("celsius"), words).orTell("celsius", form);
        if (celsius == null && form.isSound()) {
            form.fault("celsius", "capacity.celsius-wanted");
        } else if (celsius != null && (celsius.degrees() < COLDEST || celsius.degrees() > WARMEST)) {
            form.fault("celsius", "capacity.celsius-range", words.temperature(celsius));
        }
        if (kind == null || celsius == null) {
            return null;
        }
        Duration lasts = kind.lasts();
        Amperes usual = kind.current(model);
        double amperes =
                usual != null && form.get("amperes").isEmpty() ? usual.amperes() : form.number("amperes", 0.5, 1000);
        if (lasts == null) {
            lasts = Duration.ofMinutes(form.whole("minutes", SHORTEST_MINUTES, LONGEST_MINUTES));
        }
        int each = model.layout().isPack() ? model.layout().cellsPerCase() : 1;
        return form.isSound()
                ? new TestSheet(kind, model.duty(), new Amperes(amperes), lasts, model.cells(), each, celsius)
                : null;
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
        if (reason.length() < LEAST_REASON || reason.length() > MOST_REASON) {
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
