package org.ostendum.app.voltage;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.voltage.VoltageRound.Load;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Voltages by cell or block, at rest and under load, where they stand. */
@Controller
class VoltageController {
    /** Volts a cell can show, turned round or on charge. */
    private static final double MOST_PER_CELL = 3;
    /** Not a state of its own: it is judged beside the gravities of a round. */
    private static final String ON_CHARGE = "ON_CHARGE";

    private final VoltageViews views;

    VoltageController(VoltageViews views) {
        this.views = views;
    }

    @GetMapping("/batteries/{battery}/volts")
    String volts(Battery battery, Words words, Model page) {
        return show(battery, TypedForm.of(words, "load", Load.REST.name()), page);
    }

    private String show(Battery battery, TypedForm form, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new VoltageView(
                        battery,
                        views.last(battery, Load.REST).orElse(null),
                        views.last(battery, Load.LOAD).orElse(null),
                        views.roundBeside(battery).orElse(null)));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "voltage/volts";
    }

    @PostMapping("/batteries/{battery}/volts")
    Object keep(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        boolean onCharge = form.get("load").equals(ON_CHARGE);
        Load load = onCharge ? Load.REST : form.choice("load", Load.class).orElse(Load.REST);
        Map<Integer, Volts> byPlace = read(form, battery.type().model());
        if (byPlace.isEmpty() && form.isSound()) {
            form.fault("v1", "volts.fault.none");
        }
        Optional<ClosedRound> beside = onCharge ? views.roundBeside(battery) : Optional.empty();
        if (onCharge && beside.isEmpty()) {
            form.fault("v1", "volts.fault.no-round");
        }
        beside.ifPresent(round -> byPlace.keySet().stream()
                .filter(cell -> round.past().round().reading(cell).isEmpty())
                .forEach(cell -> form.fault("v" + cell, "volts.fault.not-read", cell)));
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, page), page);
        }
        if (beside.isPresent()) {
            views.keepOnCharge(battery, beside.get(), byPlace, person);
            flash.addFlashAttribute(
                    "told",
                    words.text(
                            "volts.kept.on-charge",
                            byPlace.size(),
                            words.moment(beside.get().past().round().takenAt())));
            return "redirect:/batteries/" + battery.code();
        }
        views.keep(battery, load, byPlace, person, words);
        flash.addFlashAttribute("told", words.text("volts.kept", byPlace.size()));
        return "redirect:/batteries/" + battery.code() + "/volts";
    }

    private static Map<Integer, Volts> read(TypedForm form, BatteryModel model) {
        double most = MOST_PER_CELL * model.layout().cellsPerCase();
        Map<Integer, Volts> byPlace = new TreeMap<>();
        for (int place = 1; place <= model.layout().cases().size(); place++) {
            String field = "v" + place;
            if (!form.get(field).isEmpty()) {
                byPlace.put(place, Volts.of(form.number(field, -most, most)));
            }
        }
        return byPlace;
    }
}
