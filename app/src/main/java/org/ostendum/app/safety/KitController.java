package org.ostendum.app.safety;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.people.Person;
import org.ostendum.app.words.Words;
import org.ostendum.core.safety.Kit;
import org.ostendum.core.safety.KitItem;
import org.ostendum.core.safety.StationCheck;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A spill kit's contents, each with its date. */
@Controller
class KitController {
    private final Stations stations;
    private final Kits kits;
    private final ZoneId zone;

    KitController(Stations stations, Kits kits, ZoneId zone) {
        this.stations = stations;
        this.kits = kits;
        this.zone = zone;
    }

    /** What was done with an item. */
    enum Deed {
        PUT_IN,
        TAKEN,
        STRUCK
    }

    @GetMapping("/safety/stations/{id}/kit")
    String kit(@PathVariable long id, Words words, Model page) {
        return show(station(id), TypedForm.of(words), words, page);
    }

    private String show(Stations.Station station, TypedForm form, Words words, Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), zone);
        Kit kit = station.state().contents();
        page.addAttribute("place", "jobs");
        page.addAttribute("station", station);
        page.addAttribute("kit", kit);
        page.addAttribute("wanting", kit.wanting(today));
        page.addAttribute("first", kit.firstToExpire().orElse(null));
        page.addAttribute("today", today);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "safety/kit";
    }

    @PostMapping("/safety/stations/{id}/kit")
    Object write(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Stations.Station station = station(id);
        TypedForm form = new TypedForm(typed, words);
        String name = form.text("item", 80);
        Optional<Deed> deed = form.choice("deed", Deed.class);
        LocalDate expires = form.anyDay("expires");
        if (!form.isSound() || deed.isEmpty()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(station, form, words, page), page);
        }
        switch (deed.get()) {
            case PUT_IN -> kits.write(id, new KitItem(name, true, expires), person.id());
            case TAKEN -> kits.write(id, new KitItem(name, false, null), person.id());
            case STRUCK -> kits.strike(id, new KitItem(name, false, null), person.id());
        }
        flash.addFlashAttribute("told", words.text("kit.told." + deed.get(), name));
        return "redirect:/safety/stations/" + id + "/kit";
    }

    private Stations.Station station(long id) {
        return stations.byId(id)
                .filter(s -> s.state().check() == StationCheck.SPILL_KIT)
                .orElseThrow(() -> new NotFound("spill kit " + id));
    }
}
