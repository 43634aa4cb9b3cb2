package org.ostendum.app.past;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Spark;
import org.ostendum.app.draw.SparkPlotter;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.history.CellPast;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Every cell of a battery with its own past: those that are in it, and those that went out. */
@Controller
class CellsController {
    private final BatteryStates batteryStates;
    private final BatteryRecord record;
    private final WorkCosts costs;

    CellsController(BatteryStates batteryStates, BatteryRecord record, WorkCosts costs) {
        this.batteryStates = batteryStates;
        this.record = record;
        this.costs = costs;
    }

    /**
     * A cell and its course beside that of its battery's middle cell; null before the second round.
     *
     * @param cost of putting it in; null where it came with the battery, or nobody has said
     */
    public record CellLine(CellPast past, int block, @Nullable Spark spark, @Nullable Double cost) {}

    @GetMapping("/batteries/{battery}/cells")
    String cells(Battery battery, @RequestParam(defaultValue = "1") int place, Model page) {
        return show(battery, FormView.of(MarkForm.at(Math.max(1, Math.min(places(battery), place)))), page);
    }

    private String show(Battery battery, FormView form, Model page) {
        List<WorkCosts.Cost> paid = costs.of(List.of(battery.id()));
        List<CellLine> lines = batteryStates.cellPasts(battery).stream()
                .map(past -> line(battery, past, paid))
                .toList();
        page.addAttribute("place", "fleet");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute(
                "view",
                new CellsView(
                        battery,
                        places(battery),
                        lines.stream().filter(l -> l.past().isIn()).toList(),
                        lines.stream().filter(l -> !l.past().isIn()).toList()));
        return "past/cells";
    }

    private static int places(Battery battery) {
        CellLayout layout = battery.type().model().layout();
        return battery.type().model().cells() / perPlace(layout);
    }

    /** A block of a pack bears one mark, a cell of a tray its own. */
    private static int perPlace(CellLayout layout) {
        return layout.isPack() ? layout.cellsPerCase() : 1;
    }

    /** Serial and date code, read one after the other along the battery: the form goes on to the next. */
    @PostMapping("/batteries/{battery}/cells")
    Object mark(
            Battery battery,
            @Validated @ModelAttribute("form") MarkForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        @Nullable Integer place = form == null ? null : form.place();
        if (place != null && (place < 1 || place > places(battery))) {
            Faults.tell(errors, "place", "fault.range", place, 1, places(battery));
        }
        if (form != null && form.saysNothing()) {
            Faults.tell(errors, "serial", "cells.fault.mark");
        }
        if (place == null || errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, FormView.of(errors, words), page), page);
        }
        int cell = (place - 1) * perPlace(battery.type().model().layout()) + 1;
        BatteryEvent marked = new BatteryEvent.CellMarked(
                words.now(), cell, MarkForm.said(form.serial()), MarkForm.said(form.dateCode()));
        record.record(battery, List.of(LedgerEvents.entry(marked, person.id(), "")));
        flash.addFlashAttribute("told", words.text("cells.marked", place));
        return "redirect:/batteries/" + battery.code() + "/cells?place=" + Math.min(place + 1, places(battery));
    }

    private static CellLine line(Battery battery, CellPast past, List<WorkCosts.Cost> paid) {
        var model = battery.type().model();
        int perBlock = model.layout().cellsPerCase();
        return new CellLine(
                past,
                (past.position() - 1) / perBlock + 1,
                SparkPlotter.plot(past.course(), model.marks()),
                cost(past, paid));
    }

    private static @Nullable Double cost(CellPast past, List<WorkCosts.Cost> paid) {
        return paid.stream()
                .filter(cost -> cost.at().equals(past.installed()))
                .filter(cost -> Integer.valueOf(past.stays().get(0).position()).equals(cost.cell()))
                .map(WorkCosts.Cost::amount)
                .findFirst()
                .orElse(null);
    }
}
