package org.ostendum.app.setup;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.RoomPlan;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.Option;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Chargers: their plates and sheets. */
@Controller
class ChargerSetup {
    private final Rooms rooms;

    ChargerSetup(Rooms rooms) {
        this.rooms = rooms;
    }

    @GetMapping("/setup/chargers")
    String list(Words words, Model page) {
        return show(null, TypedForm.of(words), words, page);
    }

    @GetMapping("/setup/chargers/{code}")
    String one(@PathVariable String code, Words words, Model page) {
        RoomPlan.Charger charger = find(code);
        ChargerSheet sheet = charger.sheet();
        TypedForm form = TypedForm.of(
                words,
                "kind",
                sheet.kind().name(),
                "volts",
                sheet.cells().stream().sorted().map(c -> String.valueOf(2 * c)).collect(Collectors.joining(" ")),
                "cells",
                sheet.kinds().contains(CellKind.FLOODED) ? sheet.kinds().size() > 1 ? "ALL" : "FLOODED" : "SEALED",
                "connector",
                sheet.connector(),
                "amps",
                whole(sheet.amperes().amperes()),
                "least",
                whole(sheet.least().ampHours()),
                "most",
                whole(sheet.most().ampHours()),
                "senses",
                String.valueOf(sheet.sensesFrom().volts()),
                "opportunity",
                sheet.opportunity() ? "yes" : "");
        return show(charger, form, words, page);
    }

    private static String whole(double value) {
        return String.valueOf(Math.round(value));
    }

    private String show(RoomPlan.@Nullable Charger charger, TypedForm form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("charger", charger);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "chargers", rooms.plans().stream().flatMap(RoomPlan::chargers).toList());
        page.addAttribute("kinds", Option.of(ChargerKind.class, words));
        page.addAttribute(
                "chemistries",
                List.of("FLOODED", "SEALED", "ALL").stream()
                        .map(c -> new Option(c, words.text("setup.charger.cells." + c)))
                        .toList());
        return "setup/chargers";
    }

    @PostMapping("/setup/chargers/{code}")
    Object change(
            @PathVariable String code,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        RoomPlan.Charger charger = find(code);
        TypedForm form = new TypedForm(typed, words);
        Optional<ChargerSheet> sheet = read(form, code);
        if (sheet.isPresent() && form.isSound()) {
            rooms.changeCharger(charger.id(), sheet.get());
            flash.addFlashAttribute("told", words.text("setup.kept", code));
            return "redirect:/setup/chargers";
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(charger, form, words, page), page);
    }

    private static Optional<ChargerSheet> read(TypedForm form, String code) {
        Optional<ChargerKind> kind = form.choice("kind", ChargerKind.class);
        Set<Integer> cells = cells(form);
        Set<CellKind> kinds = chemistries(form.get("cells"));
        String connector = form.get("connector");
        if (connector.length() > 40) {
            form.fault("connector", "fault.length", connector.substring(0, 20) + "…", 40);
        }
        int amps = form.whole("amps", 1, 1000);
        int least = form.whole("least", 0, 5000);
        int most = form.whole("most", 1, 5000);
        if (form.isSound() && least > most) {
            form.fault("most", "setup.charger.fault.range", least, most);
        }
        double senses = form.number("senses", 0, 2.2);
        return kind.isEmpty() || !form.isSound()
                ? Optional.empty()
                : Optional.of(new ChargerSheet(
                        code,
                        kind.get(),
                        cells,
                        kinds,
                        connector,
                        new Amperes(amps),
                        AmpHours.of(least),
                        AmpHours.of(most),
                        Volts.of(senses),
                        !form.get("opportunity").isEmpty()));
    }

    private static Set<CellKind> chemistries(String chosen) {
        return switch (chosen) {
            case "ALL" -> Set.of(CellKind.values());
            case "SEALED" -> Set.of(CellKind.AGM, CellKind.GEL);
            default -> Set.of(CellKind.FLOODED);
        };
    }

    /** "24 36": even numbers of volts, two for each cell. */
    private static Set<Integer> cells(TypedForm form) {
        Set<Integer> cells = new TreeSet<>();
        for (String volts : Arrays.asList(form.text("volts", 60).split("[ ,;/]+", -1))) {
            if (!volts.matches("\\d{1,3}") || Integer.parseInt(volts) % 2 != 0 || Integer.parseInt(volts) < 2) {
                form.fault("volts", "setup.charger.fault.volts", volts);
                return Set.of(1);
            }
            cells.add(Integer.parseInt(volts) / 2);
        }
        return cells;
    }

    private RoomPlan.Charger find(String code) {
        return rooms.plans().stream()
                .flatMap(RoomPlan::chargers)
                .filter(c -> c.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new NotFound("charger " + code));
    }
}
