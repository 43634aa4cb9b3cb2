package org.ostendum.app.setup;

import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.words.Words;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.room.RoomPlan;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Chargers: their plates and sheets. */
@Controller
class ChargerSetup {
    private final Chargers chargers;

    ChargerSetup(Chargers chargers) {
        this.chargers = chargers;
    }

    @GetMapping("/setup/chargers")
    String list(Words words, Model page) {
        return show(null, FormView.of(ChargerForm.BLANK), words, page);
    }

    @GetMapping("/setup/chargers/{charger}")
    String one(RoomPlan.Charger charger, Words words, Model page) {
        return show(charger, FormView.of(formOf(charger)), words, page);
    }

    private ChargerForm formOf(RoomPlan.Charger charger) {
        return ChargerForm.of(charger.sheet(), chargers.version(charger.id()));
    }

    private String show(RoomPlan.@Nullable Charger charger, FormView form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("charger", charger);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("chargers", chargers.all());
        page.addAttribute("kinds", Option.of(ChargerKind.class, words));
        page.addAttribute("chemistries", Option.of(ChargerForm.Chemistry.class, words));
        return "setup/chargers";
    }

    @PostMapping("/setup/chargers/{charger}")
    Object change(
            RoomPlan.Charger charger,
            @Validated @ModelAttribute("form") ChargerForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Set<Integer> cells = form == null ? Set.of() : cells(form, errors);
        if (form != null && form.least() != null && form.most() != null && form.least() > form.most()) {
            Faults.tell(errors, "most", "setup.charger.fault.range", form.least(), form.most());
        }
        if (!errors.hasErrors() && !chargers.change(charger.id(), form.version(), form.sheet(charger.code(), cells))) {
            FormView.clash(errors, formOf(chargers.byId(charger.id()).orElseThrow()));
        }
        if (errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(charger, FormView.of(errors, words), words, page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", charger.code()));
        return "redirect:/setup/chargers";
    }

    private static Set<Integer> cells(ChargerForm form, BindingResult errors) {
        Set<Integer> cells = new TreeSet<>();
        if (errors.hasFieldErrors("volts")) {
            return cells;
        }
        for (String volts : form.volts().split("[ ,;/]+", -1)) {
            boolean possible = volts.matches("\\d{1,3}") && Integer.parseInt(volts) % 2 == 0 && !volts.matches("0+");
            if (possible) {
                cells.add(Integer.parseInt(volts) / 2);
            } else {
                Faults.tell(errors, "volts", "setup.charger.fault.volts", volts);
            }
        }
        return cells;
    }
}
