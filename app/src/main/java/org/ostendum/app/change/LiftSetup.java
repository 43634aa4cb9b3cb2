package org.ostendum.app.change;

import java.util.List;
import java.util.Map;
import org.ostendum.app.change.LiftMeasures.Tier;
import org.ostendum.app.change.LiftSheet.Line;
import org.ostendum.app.change.LiftSheet.TierLine;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.ostendum.core.safety.StationCheck;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The measures by which hooks and roller beds are set, all on one sheet. */
@Controller
class LiftSetup {
    private final LiftMeasures measures;
    private final Stations stations;
    private final Models models;
    private final Machines machines;
    private final Rooms rooms;

    LiftSetup(LiftMeasures measures, Stations stations, Models models, Machines machines, Rooms rooms) {
        this.measures = measures;
        this.stations = stations;
        this.models = models;
        this.machines = machines;
        this.rooms = rooms;
    }

    /** What was measured stays on the sheet, whatever else is left out of it. */
    private LiftSheet sheet(LiftMeasures.All all) {
        return new LiftSheet(
                rooms.names().stream()
                        .flatMap(room -> stations.of(room.id()).stream())
                        .filter(station -> station.state().check() == StationCheck.CHANGER)
                        .map(station -> new Line(station.id(), station.name()))
                        .toList(),
                models.all().stream()
                        .filter(model -> isLiftedWhole(model)
                                || all.eyes().containsKey(model.id())
                                || all.models().containsKey(model.id()))
                        .map(model -> new Line(model.id(), model.code()))
                        .toList(),
                machines.all().stream()
                        .filter(machine -> machine.kind() == MachineKind.FORKLIFT
                                || all.machines().containsKey(machine.id())
                                || all.bays().containsKey(machine.id()))
                        .map(machine -> new Line(machine.id(), machine.code()))
                        .toList(),
                rooms.plans().stream()
                        .flatMap(room -> tiers(room, all).stream())
                        .toList());
    }

    /** Blocks are carried one by one, an aircraft's battery by its handle. */
    private static boolean isLiftedWhole(StoredModel model) {
        return model.model().duty() == Duty.MOTIVE && !model.model().layout().isPack();
    }

    private static List<TierLine> tiers(RoomPlan room, LiftMeasures.All all) {
        return room.stands().stream()
                .flatMap(stand -> stand.slots().stream()
                        .map(Slot::tier)
                        .distinct()
                        .sorted()
                        .map(tier -> new Tier(stand.id(), tier))
                        .filter(tier ->
                                stand.kind() == StandKind.STAND || all.tiers().containsKey(tier))
                        .map(tier -> new TierLine(tier, stand.name())))
                .toList();
    }

    @GetMapping("/setup/changing")
    String show(Words words, Model page) {
        LiftMeasures.All all = measures.all();
        Map<String, String> standing = LiftSheet.standing(all);
        return show(sheet(all), new TypedForm(standing, words), standing, page);
    }

    private static String show(LiftSheet sheet, TypedForm form, Map<String, String> standing, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("sheet", sheet);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("seen", LiftSheet.seen(standing));
        return "change/measures";
    }

    @PostMapping("/setup/changing")
    Object keep(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        LiftMeasures.All now = measures.all();
        LiftSheet sheet = sheet(now);
        Map<String, String> standing = LiftSheet.standing(now);
        TypedForm form = new TypedForm(typed, words);
        LiftMeasures.All all = sheet.typed(form);
        if (!LiftSheet.seen(standing).equals(form.get("seen"))) {
            LiftSheet.clash(form, standing);
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(sheet, form, standing, page), page);
        }
        measures.keep(all);
        flash.addFlashAttribute("told", words.text("lift.kept"));
        return "redirect:/setup/changing";
    }

    /** Measured at the battery, in the middle of a change; known from now on for all of its model. */
    @PostMapping("/batteries/{battery}/eyes")
    String eyes(
            Battery battery,
            @RequestParam long job,
            @RequestParam Map<String, String> typed,
            Words words,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        int millimetres = form.whole("eyes", LiftSheet.EYES_LEAST, LiftSheet.EYES_MOST);
        if (form.isSound()) {
            measures.keepEyes(battery.type().id(), millimetres);
        } else {
            flash.addFlashAttribute("told", form.faults().of("eyes"));
        }
        return "redirect:/jobs/" + job;
    }
}
