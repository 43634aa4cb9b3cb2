package org.ostendum.app.wiring;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.WorkOrder;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Main switch, fuses, sense leads and shrouds of one pack. */
@Controller
class FittingController {
    private final Packs packs;

    FittingController(Packs packs) {
        this.packs = packs;
    }

    /** @param fitting what and where, as {@code SHROUD 3+}; {@code SHROUD all} for every post */
    @PostMapping("/batteries/{battery}/pack/fitting")
    String add(Battery battery, @RequestParam String fitting, Words words, RedirectAttributes flash) {
        Pack pack = pack(battery);
        List<Fitting> added = fitting.equals(Fitting.Kind.SHROUD + " all")
                ? Fitting.possible(pack).stream()
                        .filter(f -> f.kind() == Fitting.Kind.SHROUD)
                        .toList()
                : List.of(among(Fitting.possible(pack), fitting, battery));
        if (added.get(0).kind() == Fitting.Kind.SENSE_LEAD && !pack.takesLeads(1)) {
            flash.addFlashAttribute("told", words.text("pack.fault.leads", WorkOrder.MOST_CABLES));
            return back(battery);
        }
        added.forEach(one -> packs.addFitting(battery.id(), one));
        flash.addFlashAttribute("told", words.text("pack.fitting.kept"));
        return back(battery);
    }

    @PostMapping("/batteries/{battery}/pack/fitting-off")
    String remove(Battery battery, @RequestParam String fitting, Words words, RedirectAttributes flash) {
        packs.removeFitting(battery.id(), among(pack(battery).fittings(), fitting, battery));
        flash.addFlashAttribute("told", words.text("pack.fitting.gone"));
        return back(battery);
    }

    private static Fitting among(List<Fitting> all, String named, Battery battery) {
        return all.stream()
                .filter(fitting -> (fitting.kind() + " " + fitting.at()).equals(named))
                .findFirst()
                .orElseThrow(() -> new NotFound("fitting " + named + " of " + battery.code()));
    }

    private Pack pack(Battery battery) {
        return packs.of(battery).orElseThrow(() -> new NotFound("pack of " + battery.code()));
    }

    private static String back(Battery battery) {
        return "redirect:/batteries/" + battery.code() + "/pack#fittings";
    }
}
