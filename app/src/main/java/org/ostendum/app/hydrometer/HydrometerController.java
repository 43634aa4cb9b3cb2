package org.ostendum.app.hydrometer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.hydrometer.HydrometerForm.Result;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.HydrometerComparison;
import org.ostendum.app.state.Hydrometers;
import org.ostendum.app.state.Hydrometers.ReadWithIt;
import org.ostendum.app.state.RoomShifts;
import org.ostendum.app.words.Words;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.people.Person;
import org.ostendum.core.room.RoomPlan;
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

/** A room of which all batteries read otherwise since one day: what a second hydrometer shows, and what follows. */
@Controller
class HydrometerController {
    private final Hydrometers hydrometers;
    private final RoomShifts shifts;

    HydrometerController(Hydrometers hydrometers, RoomShifts shifts) {
        this.hydrometers = hydrometers;
        this.shifts = shifts;
    }

    /** It is compared at any battery; what that shows is said of the room that is read with it. */
    @GetMapping("/batteries/{battery}/hydrometer")
    String at(Battery battery) {
        return battery.roomCode() == null
                ? "redirect:/batteries/" + battery.code()
                : "redirect:/rooms/" + battery.roomCode() + "/hydrometer";
    }

    @GetMapping("/rooms/{room}/hydrometer")
    String compare(RoomPlan room, Words words, Model page) {
        Optional<SharedShift> shift = shifts.of(room.id());
        return show(room, FormView.of(begun(room, shift, words)), words, page);
    }

    /** By as much as the room reads otherwise, and since the day of the first round read so: the second hydrometer may show another. */
    private HydrometerForm begun(RoomPlan room, Optional<SharedShift> shift, Words words) {
        if (shift.isEmpty()) {
            return new HydrometerForm(null, null, null, "");
        }
        LocalDate first = hydrometers.since(room.id(), shift.get().since()).stream()
                .map(read -> read.rounds().get(0).past().round().takenAt())
                .min(Instant::compareTo)
                .map(at -> LocalDate.ofInstant(at, words.zone()))
                .orElse(null);
        return new HydrometerForm(null, (int) shift.get().points(), first, "");
    }

    private String show(RoomPlan room, FormView form, Words words, Model page) {
        page.addAttribute("place", "room");
        page.addAttribute(
                "view",
                new HydrometerView(
                        room,
                        shifts.of(room.id()).orElse(null),
                        Option.of(Result.class, words),
                        hydrometers.seen(room.id())));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "hydrometer/hydrometer";
    }

    @PostMapping("/rooms/{room}/hydrometer")
    Object compared(
            RoomPlan room,
            @RequestParam(defaultValue = "") String seen,
            @Validated @ModelAttribute("form") HydrometerForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        List<ReadWithIt> read = readWithIt(room, form, errors, words);
        if (errors.hasErrors()) {
            return refused(HttpStatus.UNPROCESSABLE_CONTENT, room, errors, words, page);
        }
        HydrometerComparison shown = form.isRight() ? form.right(readSince(room, words)) : form.off(words.zone());
        if (!hydrometers.compared(room.id(), shown, seen, person.id())) {
            Faults.tell(errors, "result", "hydrometer.fault.meanwhile");
            return refused(HttpStatus.CONFLICT, room, errors, words, page);
        }
        flash.addFlashAttribute("told", told(shown, read, words));
        return "redirect:/rooms/" + room.code();
    }

    private Instant readSince(RoomPlan room, Words words) {
        return shifts.of(room.id()).map(SharedShift::since).orElseGet(words::now);
    }

    /** What would be put right; what keeps it from being so is told beside the fields. */
    private List<ReadWithIt> readWithIt(
            RoomPlan room, @Nullable HydrometerForm form, BindingResult errors, Words words) {
        if (form == null || form.result() == null || form.isRight()) {
            return List.of();
        }
        if (form.points() == null) {
            Faults.tell(errors, "points", "hydrometer.fault.points");
        }
        if (form.since() == null) {
            Faults.tell(errors, "since", "hydrometer.fault.since");
        }
        return errors.hasErrors() ? List.of() : possible(room, form, errors, words);
    }

    private List<ReadWithIt> possible(RoomPlan room, HydrometerForm form, BindingResult errors, Words words) {
        List<ReadWithIt> read = hydrometers.since(room.id(), form.begin(words.zone()));
        if (read.isEmpty()) {
            Faults.tell(errors, "since", "hydrometer.fault.none", words.date(form.begin(words.zone())));
        }
        hydrometers
                .impossible(read, form.added())
                .map(Battery::code)
                .ifPresent(code -> Faults.tell(errors, "points", "hydrometer.fault.range", code));
        return read;
    }

    private static String told(HydrometerComparison shown, List<ReadWithIt> read, Words words) {
        int rounds = read.stream().mapToInt(one -> one.rounds().size()).sum();
        return shown.isRight()
                ? words.text("hydrometer.told.right")
                : words.text("hydrometer.told.off", rounds, read.size(), Math.abs(shown.points()));
    }

    private Object refused(HttpStatus status, RoomPlan room, BindingResult errors, Words words, Model page) {
        return Faults.page(status, show(room, FormView.of(errors, words), words, page), page);
    }
}
