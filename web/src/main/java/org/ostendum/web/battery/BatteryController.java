package org.ostendum.web.battery;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.web.judgement.Logbook;
import org.ostendum.web.page.Faults;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Person;
import org.ostendum.web.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A battery's page, and writing down what was done to it. */
@Controller
class BatteryController {
    private static final DateTimeFormatter TYPED = DateTimeFormatter.ofPattern("yyyy-MM-dd[' ']['T']HH:mm");
    private static final BigDecimal MOST = new BigDecimal(99_999);

    private final Batteries batteries;
    private final BatteryDesk desk;
    private final Logbook logbook;
    private final ZoneId zone;

    BatteryController(Batteries batteries, BatteryDesk desk, Logbook logbook, ZoneId zone) {
        this.batteries = batteries;
        this.desk = desk;
        this.logbook = logbook;
        this.zone = zone;
    }

    /** What was done, as typed. */
    record LogForm(
            @Nullable EntryKind kind, @Nullable String when, @Nullable String quantity, @Nullable String remark) {
        String remarkText() {
            return remark == null ? "" : remark.strip();
        }
    }

    @GetMapping("/batteries/{code}")
    String battery(@PathVariable String code, @RequestParam @Nullable EntryKind log, Words words, Model page) {
        page.addAttribute("logging", log != null);
        EntryKind kind = log == null ? EntryKind.CHARGE_END : log;
        return show(find(code), new LogForm(kind, "", "", ""), Faults.NONE, words, page);
    }

    private String show(Battery battery, LogForm form, Faults faults, Words words, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute("view", desk.view(battery, words));
        page.addAttribute("form", form);
        page.addAttribute("faults", faults);
        page.addAttribute("kinds", EntryKind.BY_HAND);
        return "battery/battery";
    }

    @PostMapping("/batteries/{code}/log")
    Object log(
            @PathVariable String code,
            @ModelAttribute LogForm form,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Battery battery = find(code);
        Faults.Finder faults = new Faults.Finder(words);
        EntryKind kind = form.kind();
        if (kind == null || !EntryKind.BY_HAND.contains(kind)) {
            faults.add("kind", "fault.choose");
        }
        Instant at = when(form.when(), words.now(), faults);
        BigDecimal quantity = quantity(form.quantity(), faults);
        if (kind == EntryKind.NOTE && form.remarkText().isEmpty()) {
            faults.add("remark", "log.fault.remark");
        }
        if (form.remarkText().length() > 400) {
            faults.add("remark", "fault.length", form.remarkText().substring(0, 20) + "…", 400);
        }
        if (kind == EntryKind.WATER && form.remarkText().isEmpty() && !waterIsRight(battery, words)) {
            faults.add("remark", "log.water-before-charge");
        }
        if (faults.any() || kind == null || at == null) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(battery, form, faults.found(), words, page), page);
        }
        logbook.write(battery, List.of(NewEntry.of(kind, at, person.id(), quantity, form.remarkText())));
        flash.addFlashAttribute("told", words.text("log.kept", words.name(kind)));
        return "redirect:/batteries/" + battery.code();
    }

    private boolean waterIsRight(Battery battery, Words words) {
        return desk.view(battery, words).state().happenings().isFull();
    }

    private @Nullable Instant when(@Nullable String typed, Instant now, Faults.Finder faults) {
        if (typed == null || typed.isBlank()) {
            return now;
        }
        try {
            Instant at = LocalDateTime.parse(typed.strip(), TYPED).atZone(zone).toInstant();
            if (at.isAfter(now)) {
                faults.add("when", "log.fault.future", typed);
            }
            return at;
        } catch (DateTimeParseException e) {
            faults.add("when", "log.fault.when", typed);
            return null;
        }
    }

    private static @Nullable BigDecimal quantity(@Nullable String typed, Faults.Finder faults) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        try {
            BigDecimal quantity = new BigDecimal(typed.strip());
            if (quantity.signum() >= 0 && quantity.compareTo(MOST) <= 0) {
                return quantity.setScale(2, RoundingMode.HALF_UP);
            }
        } catch (NumberFormatException e) {
            // told below, with the other amounts that cannot be
        }
        faults.add("quantity", "log.fault.quantity", typed);
        return null;
    }

    private Battery find(String code) {
        return batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
    }
}
