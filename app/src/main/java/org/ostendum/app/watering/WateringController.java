package org.ostendum.app.watering;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Millilitres;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The watering walk: one list, one row of figures typed down it, one press. */
@Controller
class WateringController {
    /** More than any battery of the site can hold between its marks, ml. */
    private static final double MOST = 60_000;
    /** So many times the expected is told before it is kept. */
    private static final double ODD = 2;

    private static final int ODD_LEAST = 300;
    private static final String FIELD = "ml-";
    /** Typed for "filled to its mark", where nothing meters it. */
    private static final String TO_MARK = "m";

    private final WateringViews views;
    private final BatteryRecord batteryRecord;

    WateringController(WateringViews views, BatteryRecord batteryRecord) {
        this.views = views;
        this.batteryRecord = batteryRecord;
    }

    @GetMapping("/watering")
    String walk(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "") String all,
            Words words,
            Model page) {
        WateringSieve sieve = new WateringSieve(find.strip(), !all.isEmpty());
        return show(sieve, TypedForm.of(words), words, page);
    }

    private String show(WateringSieve sieve, TypedForm form, Words words, Model page) {
        List<WateringViews.Stop> walk = views.walk();
        List<WateringViews.Stop> told =
                sieve.of(walk, stop -> !form.get(FIELD + stop.battery().code()).isEmpty());
        long due = count(walk, WateringViews.Stop.Wants.WATER);
        page.addAttribute("place", "water");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "view",
                new WateringView(
                        sieve.find(),
                        told,
                        sieve.find().isEmpty() ? walk.size() - told.size() : 0,
                        due,
                        walk.stream().filter(WateringViews.Stop::isDue).count() - due,
                        views.quality(),
                        views.totals(),
                        views.metered().isPresent(),
                        Measures.of(words.person())));
        return "watering/watering";
    }

    private static long count(List<WateringViews.Stop> walk, WateringViews.Stop.Wants wants) {
        return walk.stream().filter(stop -> stop.wants() == wants).count();
    }

    /** What the carts' meters show, in the unit of the reader; the page takes the difference. */
    @GetMapping(path = "/watering/cart", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    ResponseEntity<String> cart(Words words) {
        Measures measures = Measures.of(words.person());
        return views.metered()
                .map(ml -> ResponseEntity.ok(String.valueOf(Math.round(measures.shown("ml", ml)))))
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** Writes what was poured; nothing of it while one figure is wrong or odd and not said to be meant. */
    @PostMapping("/watering")
    @Transactional
    public Object pour(
            @RequestParam Map<String, String> typed, Person person, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Measures measures = Measures.of(words.person());
        boolean meant = !form.get("meant").isEmpty();
        Map<Battery, Integer> poured = new LinkedHashMap<>();
        Set<Battery> toMark = new HashSet<>();
        for (WateringViews.Stop stop : views.walk()) {
            String field = FIELD + stop.battery().code();
            if (form.get(field).equalsIgnoreCase(TO_MARK)) {
                if (!meant && !stop.full()) {
                    form.fault(field, "watering.fault.not-full", stop.battery().code());
                }
                toMark.add(stop.battery());
                poured.put(stop.battery(), stop.expected() == null ? 0 : stop.expected());
            } else if (!form.get(field).isEmpty()) {
                double shown = form.number(field, 0, Math.rint(measures.shown("ml", MOST)));
                int millilitres = (int) Math.round(measures.metric("ml", shown));
                check(stop, field, millilitres, meant, form, measures);
                poured.put(stop.battery(), millilitres);
            }
        }
        if (form.isSound() && poured.isEmpty()) {
            form.fault("none", "watering.fault.none");
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(WateringSieve.DUE, form, words, page), page);
        }
        write(poured, toMark, person, words);
        int all = poured.values().stream().mapToInt(Integer::intValue).sum();
        flash.addFlashAttribute("told", words.text("watering.kept", poured.size(), words.volume(all)));
        return "redirect:/watering";
    }

    /** Water on a battery that is not full overflows at its next charge; an amount unlike its own record is read again. */
    private static void check(
            WateringViews.Stop stop, String field, int millilitres, boolean meant, TypedForm form, Measures measures) {
        if (meant) {
            return;
        }
        if (!stop.full()) {
            form.fault(field, "watering.fault.not-full", stop.battery().code());
        }
        Integer expected = stop.expected();
        if (expected != null && millilitres > ODD * expected && millilitres > ODD_LEAST) {
            form.fault(field, "watering.fault.odd", measures.say("ml", millilitres), measures.say("ml", expected));
        }
    }

    private void write(Map<Battery, Integer> poured, Set<Battery> toMark, Person person, Words words) {
        List<Battery> inOrder = new ArrayList<>(poured.keySet());
        for (Battery battery : inOrder) {
            Integer millilitres = poured.get(battery);
            if (millilitres != null) {
                batteryRecord.record(
                        battery,
                        List.of(LedgerEvents.entry(
                                new Watered(
                                        words.now(),
                                        millilitres == 0 ? null : new Millilitres(millilitres),
                                        null,
                                        Fill.TO_MARK),
                                person.id(),
                                toMark.contains(battery) ? words.text("watering.to-mark") : "")));
            }
        }
    }
}
