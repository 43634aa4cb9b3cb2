package org.ostendum.app.capacity;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.device.LoadBanks;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.capacity.TestReadiness;
import org.ostendum.core.capacity.TestReadiness.Asked;
import org.ostendum.core.capacity.TestSheet;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Heat;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A battery's discharge tests: what they came to, and the next one, begun where the battery is ready for it. */
@Controller
class CapacityController {
    private static final int SHORTEST_MINUTES = 5;
    private static final int LONGEST_MINUTES = 1800;
    private static final int LEAST_REASON = 3;
    private static final int MOST_REASON = 300;
    private static final double COLDEST = 10;
    private static final double WARMEST = 40;

    private final CapacityTests tests;
    private final BatteryStates states;
    private final LoadBanks banks;

    CapacityController(CapacityTests tests, BatteryStates states, LoadBanks banks) {
        this.tests = tests;
        this.states = states;
        this.banks = banks;
    }

    @GetMapping("/batteries/{battery}/capacity")
    String capacity(Battery battery, Words words, Model page) {
        return show(battery, TypedForm.of(words), words, page);
    }

    private String show(Battery battery, TypedForm form, Words words, Model page) {
        List<CapacityTest> past = new ArrayList<>(tests.of(battery.id()));
        Collections.reverse(past);
        BatteryState state = states.stateOf(battery);
        Heat heat = state.heat().temperature();
        page.addAttribute("place", "fleet");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "view",
                new CapacityView(
                        battery,
                        tests.openOf(battery.id()).orElse(null),
                        past,
                        CapacityTrend.of(past).orElse(null),
                        TestReadiness.of(state),
                        banks.isThere(),
                        heat == null ? "" : words.temperatureTyped(heat.celsius()),
                        Measures.of(words.person()).unit("°C")));
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
            tests.interrupted(id, words.now());
            flash.addFlashAttribute("fault", words.text("capacity.bank.not-started", battery.code()));
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
        if (!doubts.isEmpty() && !isReason(reason)) {
            form.fault("reason", "capacity.reason-wanted");
        }
        return doubts.isEmpty() ? "" : String.join(" ", doubts) + " " + reason;
    }

    static boolean isReason(String reason) {
        return reason.length() >= LEAST_REASON && reason.length() <= MOST_REASON;
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
}
