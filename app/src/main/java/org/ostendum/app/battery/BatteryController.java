package org.ostendum.app.battery;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.complaint.Complaints;
import org.ostendum.app.event.LogForm;
import org.ostendum.app.event.LogReading;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.plan.PlannedJobs;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.storage.Storing;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A battery's page, and writing down what was done to it. */
@Controller
class BatteryController {
    private static final int PLANNED_TOLD = 3;

    private final BatteryViews views;
    private final LogReading reading;
    private final BatteryRecord batteryRecord;
    private final PlannedJobs planned;
    private final Complaints complaints;
    private final BatteryButtons buttons;
    private final Storing storing;
    private final Photos photos;

    BatteryController(
            BatteryViews views,
            LogReading reading,
            BatteryRecord batteryRecord,
            PlannedJobs planned,
            Complaints complaints,
            BatteryButtons buttons,
            Storing storing,
            Photos photos) {
        this.views = views;
        this.reading = reading;
        this.batteryRecord = batteryRecord;
        this.planned = planned;
        this.complaints = complaints;
        this.buttons = buttons;
        this.storing = storing;
        this.photos = photos;
    }

    @GetMapping("/batteries/{battery}")
    String battery(Battery battery, @RequestParam @Nullable EntryKind log, Words words, Model page) {
        page.addAttribute("logging", log != null);
        LogForm form = LogForm.of(log == null ? EntryKind.CHARGE_END : log);
        return show(battery, form, Faults.NONE, words, page);
    }

    private String show(Battery battery, LogForm form, Faults faults, Words words, Model page) {
        page.addAttribute("place", "fleet");
        BatteryViews.BatteryView view = views.view(battery, words);
        page.addAttribute("view", view);
        page.addAttribute("around", around(view, words));
        page.addAttribute("form", form);
        page.addAttribute("faults", faults);
        page.addAttribute("kinds", EntryKind.BY_HAND);
        page.addAttribute("endings", LogForm.ENDINGS);
        return "battery/battery";
    }

    private Around around(BatteryViews.BatteryView view, Words words) {
        Battery battery = view.battery();
        return new Around(
                view.last() == null ? List.of() : photos.of(round(view.last())),
                view.state().complainedOf() == null
                        ? null
                        : complaints.openOf(battery.id()).orElse(null),
                storing.lineOf(battery).orElse(null),
                planned.ofBattery(battery.code(), words.now(), PLANNED_TOLD),
                buttons.of(view, words));
    }

    private static Photos.Of round(ClosedRound round) {
        return new Photos.Of(Photos.Subject.ROUND, round.id());
    }

    @PostMapping("/batteries/{battery}/log")
    Object log(
            Battery battery,
            @ModelAttribute LogForm form,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Faults.Finder faults = new Faults.Finder(words);
        Optional<NewEntry> line = reading.read(battery, form, person, words, faults);
        if (line.isEmpty()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, faults.found(), words, page), page);
        }
        batteryRecord.record(battery, List.of(line.get()));
        flash.addFlashAttribute(
                "told", words.text("log.kept", words.name(line.get().kind())));
        return "redirect:/batteries/" + battery.code();
    }
}
