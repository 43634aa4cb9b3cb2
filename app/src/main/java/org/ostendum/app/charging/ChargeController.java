package org.ostendum.app.charging;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.charging.ChargeViews.ChargeView;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Measures;
import org.ostendum.app.words.Words;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.EndOfCharge;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One charge: what is read while it runs, whether it is full and on which evidence, and its end. */
@Controller
class ChargeController {

    private final ChargeViews views;
    private final ChargeCurves curves;
    private final ChargeReadings readings;
    private final BatteryRecord batteryRecord;
    private final ChargeEnding ending;

    ChargeController(
            ChargeViews views,
            ChargeCurves curves,
            ChargeReadings readings,
            BatteryRecord batteryRecord,
            ChargeEnding ending) {
        this.views = views;
        this.curves = curves;
        this.readings = readings;
        this.batteryRecord = batteryRecord;
        this.ending = ending;
    }

    @GetMapping("/batteries/{battery}/charge")
    String charge(Battery battery, Words words, Model page) {
        return show(battery, TypedForm.of(words), words, page);
    }

    private String show(Battery battery, TypedForm form, Words words, Model page) {
        page.addAttribute("place", "charging");
        page.addAttribute("battery", battery);
        Optional<ChargeView> view = views.view(battery, !form.get("lamp").isEmpty());
        page.addAttribute("view", view.orElse(null));
        page.addAttribute("curve", view.flatMap(curves::of).orElse(null));
        page.addAttribute("months", views.months(battery));
        page.addAttribute("signs", EndOfCharge.SIGNS);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("celsius", Measures.of(words.person()).unit("°C"));
        return "charging/charge";
    }

    /** What was read at one moment: voltage and current, the temperature, the pilot cell, as much of it as was read. */
    @PostMapping("/batteries/{battery}/charge")
    Object read(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        ChargeView running =
                views.view(battery, false).filter(ChargeView::isRunning).orElse(null);
        if (running == null) {
            form.fault("none", "charge.fault.none", battery.code());
        }
        @Nullable
        Celsius celsius = TypedInput.temperature(form.get("celsius"), words).orTell("celsius", form);
        @Nullable ChargeSample sample = sample(battery, form, words.now(), celsius);
        @Nullable
        SpecificGravity pilot = TypedInput.gravity(form.get("pilot"), words).orTell("pilot", form);
        if (pilot != null && celsius == null) {
            form.fault("celsius", "charge.fault.pilot-temperature");
        }
        if (form.isSound() && sample == null && pilot == null) {
            form.fault("volts", "charge.fault.empty");
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, words, page), page);
        }
        if (sample != null) {
            readings.add(battery.id(), sample, person.id());
        }
        if (pilot != null && celsius != null) {
            readings.addPilot(battery.id(), new ChargeReadings.PilotReading(words.now(), pilot, celsius), person.id());
        }
        if (celsius != null) {
            BatteryEvent warm = new BatteryEvent.TemperatureRead(words.now(), celsius);
            batteryRecord.record(battery, List.of(LedgerEvents.entry(warm, person.id(), "")));
        }
        flash.addFlashAttribute("told", words.text("charge.read"));
        return "redirect:/batteries/" + battery.code() + "/charge";
    }

    private static @Nullable ChargeSample sample(
            Battery battery, TypedForm form, Instant now, @Nullable Celsius celsius) {
        if (form.get("volts").isEmpty() && form.get("amps").isEmpty()) {
            return null;
        }
        int cells = battery.type().model().cells();
        double volts = form.number("volts", cells, 3.2 * cells);
        double amps = form.number("amps", 0, battery.type().model().capacity().ampHours());
        return form.isSound() ? new ChargeSample(now, Volts.of(volts), new Amperes(amps), celsius) : null;
    }

    /** Ends the charge on the ledger: full on its evidence, or not, with a reason. */
    @PostMapping("/batteries/{battery}/charge/end")
    Object end(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        ChargeView view = views.view(battery, !form.get("lamp").isEmpty())
                .filter(ChargeView::isRunning)
                .orElse(null);
        String reason = form.get("reason");
        if (view == null) {
            form.fault("none", "charge.fault.none", battery.code());
        } else if (view.isToBeExplained() && reason.length() < 3) {
            form.fault("reason", "charge.fault.reason");
        } else if (reason.length() > 300) {
            form.fault("reason", "fault.length", reason.substring(0, 20) + "…", 300);
        }
        if (view == null || !form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, words, page), page);
        }
        ending.end(view, reason, person, words);
        flash.addFlashAttribute("told", words.text("charge.ended", battery.code()));
        return "redirect:/charging";
    }
}
