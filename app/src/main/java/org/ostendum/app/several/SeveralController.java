package org.ostendum.app.several;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charging.ChargeEnding;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.job.begin.ChargesAtOnce;
import org.ostendum.app.job.begin.ChargesAtOnce.Ready;
import org.ostendum.app.several.SeveralView.Charging;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A row of batteries plugged in at night and unplugged in the morning: tapped along the row, written down at once. */
@Controller
class SeveralController {
    /** More than one person walks along at once; the rest is found by typing. */
    private static final int MOST_SHOWN = 48;

    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final Chargers chargers;
    private final ChargesAtOnce charges;
    private final ChargeEnding ending;

    SeveralController(
            Batteries batteries,
            BatteryStates batteryStates,
            Chargers chargers,
            ChargesAtOnce charges,
            ChargeEnding ending) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.chargers = chargers;
        this.charges = charges;
        this.ending = ending;
    }

    @GetMapping("/charging/several")
    String several(@RequestParam(defaultValue = "") String find, Person person, Words words, Model page) {
        return show(find, Set.of(), List.of(), person, words, page);
    }

    @PostMapping("/charging/several/on")
    Object on(
            @RequestParam(defaultValue = "") List<String> battery,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        return each(battery, "several.on.done", person, words, page, flash, (b, w) -> charges.begin(b, person, w)
                .orElse(null));
    }

    @PostMapping("/charging/several/off")
    Object off(
            @RequestParam(defaultValue = "") List<String> battery,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        return each(
                battery,
                "several.off.done",
                person,
                words,
                page,
                flash,
                (b, w) -> ending.endAsFound(b, person, w) ? null : w.text("charge.fault.none", b.code()));
    }

    /** Each for itself: what cannot be done with one keeps nobody from the others. */
    private Object each(
            List<String> codes,
            String done,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash,
            BiFunction<Battery, Words, @Nullable String> deed) {
        List<String> told = new ArrayList<>();
        List<String> refused = new ArrayList<>();
        for (String code : new LinkedHashSet<>(codes)) {
            String why = batteries
                    .byCode(code)
                    .map(b -> Objects.requireNonNullElse(deed.apply(b, words), ""))
                    .orElseGet(() -> words.text("several.unknown"));
            (why.isEmpty() ? told : refused).add(why.isEmpty() ? code : code + ": " + why);
        }
        if (told.isEmpty() && refused.isEmpty()) {
            refused.add(words.text("several.none-picked"));
        }
        if (!refused.isEmpty()) {
            page.addAttribute("told", told.isEmpty() ? null : words.text(done, told.size(), String.join(", ", told)));
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    show("", new LinkedHashSet<>(codes), refused, person, words, page),
                    page);
        }
        flash.addFlashAttribute("told", words.text(done, told.size(), String.join(", ", told)));
        return "redirect:/charging";
    }

    private String show(String find, Set<String> picked, List<String> refused, Person person, Words words, Model page) {
        List<Battery> sought =
                batteries.all().stream().filter(b -> isSought(b, find)).toList();
        Map<Long, BatteryState> states = batteryStates.statesOf(sought);
        page.addAttribute("place", "charging");
        page.addAttribute("view", view(find, picked, refused, sought, states, person, words));
        return "several/several";
    }

    private SeveralView view(
            String find,
            Set<String> picked,
            List<String> refused,
            List<Battery> sought,
            Map<Long, BatteryState> states,
            Person person,
            Words words) {
        Map<Long, Long> usual = chargers.usual();
        List<Battery> idle = sought.stream()
                .filter(b -> usual.containsKey(b.id()) && !state(states, b).isCharging())
                .sorted(Comparator.comparing((Battery b) -> isFull(states, b)).thenComparing(Battery::code))
                .toList();
        List<Ready> ready = idle.stream()
                .limit(MOST_SHOWN)
                .map(b -> charges.ready(b, person, words))
                .toList();
        return new SeveralView(
                find,
                picked,
                refused,
                charges.isEnough(),
                charges.looks(words),
                ready.stream()
                        .filter(r -> r.isOpen() && !isFull(states, r.battery()))
                        .toList(),
                ready.stream()
                        .filter(r -> r.isOpen() && isFull(states, r.battery()))
                        .toList(),
                ready.stream().filter(r -> !r.isOpen()).toList(),
                Math.max(0, idle.size() - MOST_SHOWN),
                running(sought, states));
    }

    private List<Charging> running(List<Battery> sought, Map<Long, BatteryState> states) {
        return sought.stream()
                .filter(b -> state(states, b).isCharging())
                .sorted(Comparator.comparing((Battery b) -> !state(states, b).isChargeToBeEnded()))
                .limit(MOST_SHOWN)
                .map(b -> new Charging(
                        b,
                        NextThings.endOfCharge(b.code(), state(states, b)).orElse(null),
                        ending.isShownFull(b).orElse(false)))
                .toList();
    }

    private static boolean isFull(Map<Long, BatteryState> states, Battery battery) {
        return state(states, battery).full().isYes();
    }

    private static boolean isSought(Battery battery, String find) {
        String text = find.strip().toUpperCase(Locale.ROOT);
        return text.isEmpty()
                || battery.code().toUpperCase(Locale.ROOT).contains(text)
                || String.valueOf(battery.machineCode())
                        .toUpperCase(Locale.ROOT)
                        .contains(text)
                || String.valueOf(battery.place()).toUpperCase(Locale.ROOT).contains(text);
    }

    private static BatteryState state(Map<Long, BatteryState> states, Battery battery) {
        return Objects.requireNonNull(states.get(battery.id()));
    }
}
