package org.ostendum.app.safety;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Objects;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.KitItem;
import org.ostendum.core.safety.StationCheck;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A spill kit's contents, each with its date. */
@Controller
class KitController {
    private final Kits kits;
    private final ZoneId zone;

    KitController(Kits kits, ZoneId zone) {
        this.kits = kits;
        this.zone = zone;
    }

    /** What was done with an item. */
    enum Deed {
        PUT_IN,
        TAKEN,
        STRUCK
    }

    @GetMapping("/safety/stations/{station}/kit")
    String kit(Stations.Station station, Words words, Model page) {
        return show(spillKit(station), FormView.of(KitForm.BLANK), words, page);
    }

    private String show(Stations.Station station, FormView form, Words words, Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), zone);
        Kit kit = station.state().contents();
        page.addAttribute("place", "jobs");
        page.addAttribute(
                "view",
                new KitView(
                        station, kit, kit.wanting(today), kit.firstToExpire().orElse(null), today));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "safety/kit";
    }

    @PostMapping("/safety/stations/{station}/kit")
    Object write(
            Stations.Station station,
            @Validated @ModelAttribute("form") KitForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        long id = spillKit(station).id();
        if (errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(station, FormView.of(errors, words), words, page), page);
        }
        Deed deed = Objects.requireNonNull(form.deed());
        switch (deed) {
            case PUT_IN -> kits.write(id, new KitItem(form.item(), true, form.expires()), person.id());
            case TAKEN -> kits.write(id, new KitItem(form.item(), false, null), person.id());
            case STRUCK -> kits.strike(id, new KitItem(form.item(), false, null), person.id());
        }
        flash.addFlashAttribute("told", words.text("kit.told." + deed, form.item()));
        return "redirect:/safety/stations/" + id + "/kit";
    }

    /** @throws NotFound for a station that is no spill kit */
    private static Stations.Station spillKit(Stations.Station station) {
        if (station.state().check() != StationCheck.SPILL_KIT) {
            throw new NotFound("spill kit " + station.id());
        }
        return station;
    }
}
