package org.ostendum.app.setup;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.ostendum.app.form.Constraints;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.Option;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.words.Words;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Rooms, and stands with their slots and chargers. */
@Controller
class RoomSetup {
    private static final Constraints ROOM = new Constraints(Map.of("room_code_once", "code"));
    // The code of a stand is part of the codes of its chargers.
    private static final Constraints STAND =
            new Constraints(Map.of("stand_code_once", "code", "charger_code_once", "code"));

    private final Rooms rooms;
    private final Chargers chargers;
    private final TransactionTemplate transaction;

    RoomSetup(Rooms rooms, Chargers chargers, TransactionTemplate transaction) {
        this.rooms = rooms;
        this.chargers = chargers;
        this.transaction = transaction;
    }

    @GetMapping("/setup/rooms")
    String list(Model page) {
        return showRooms(FormView.of(RoomForm.BLANK), page);
    }

    private String showRooms(FormView form, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("rooms", rooms.names());
        return "setup/rooms";
    }

    @PostMapping("/setup/rooms")
    Object add(
            @Validated @ModelAttribute("form") RoomForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (!errors.hasErrors()) {
            ROOM.keep(
                    errors,
                    () -> rooms.add(
                            form.code(),
                            form.name(),
                            Objects.requireNonNull(form.width()),
                            Objects.requireNonNull(form.depth())));
        }
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, showRooms(FormView.of(errors, words), page), page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.name()));
        return "redirect:/setup/rooms/" + form.code();
    }

    @GetMapping("/setup/rooms/{room}")
    String one(RoomPlan room, Words words, Model page) {
        return showRoom(room, FormView.of(StandForm.BLANK), FormView.of(RoomAirForm.of(room)), words, page);
    }

    private static String showRoom(RoomPlan room, FormView form, FormView air, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("room", room);
        page.addAttribute("form", form);
        page.addAttribute("air", air);
        page.addAttribute("faults", form.faults().any() ? form.faults() : air.faults());
        page.addAttribute("adding", form.faults().any());
        page.addAttribute("kinds", Option.of(StandKind.class, words));
        return "setup/room";
    }

    @PostMapping("/setup/rooms/{room}/air")
    Object change(
            RoomPlan room,
            @Validated @ModelAttribute("air") RoomAirForm air,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (!errors.hasErrors()) {
            checkHoldsAll(air, room, errors);
        }
        if (errors.hasErrors()) {
            FormView stand = FormView.of(StandForm.BLANK);
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    showRoom(room, stand, FormView.of(errors, words), words, page),
                    page);
        }
        transaction.executeWithoutResult(status -> {
            rooms.change(room.id(), air.roomName(), air.width(), air.depth());
            rooms.keepAir(room.id(), air.air());
        });
        flash.addFlashAttribute("told", words.text("setup.kept", air.roomName()));
        return "redirect:/setup/rooms/" + room.code();
    }

    /** No wall goes through a stand. */
    private static void checkHoldsAll(RoomAirForm air, RoomPlan room, BindingResult errors) {
        int right = room.rightOfStands();
        int front = room.frontOfStands();
        if (air.width() < right) {
            Faults.tell(errors, "roomWidth", "fault.outside", right, air.width());
        }
        if (air.depth() < front) {
            Faults.tell(errors, "roomDepth", "fault.outside", front, air.depth());
        }
    }

    @PostMapping("/setup/rooms/{room}")
    Object addStand(
            RoomPlan room,
            @Validated @ModelAttribute("form") StandForm form,
            BindingResult errors,
            Words words,
            Model page,
            RedirectAttributes flash) {
        if (!errors.hasErrors()) {
            checkFits(form, room, errors);
        }
        if (!errors.hasErrors()) {
            STAND.keep(errors, () -> transaction.executeWithoutResult(status -> write(room, form)));
        }
        if (errors.hasErrors()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    showRoom(room, FormView.of(errors, words), FormView.of(RoomAirForm.of(room)), words, page),
                    page);
        }
        flash.addFlashAttribute("told", words.text("setup.kept", form.name()));
        return "redirect:/setup/rooms/" + room.code();
    }

    private static void checkFits(StandForm form, RoomPlan room, BindingResult errors) {
        if (form.right() > room.widthCm()) {
            Faults.tell(errors, "width", "fault.outside", form.right(), room.widthCm());
        }
        if (form.front() > room.depthCm()) {
            Faults.tell(errors, "depth", "fault.outside", form.front(), room.depthCm());
        }
        room.inTheWayOf(form.stand()).ifPresent(other -> Faults.tell(errors, "x", "stand.fault.overlap", other.name()));
        if (form.amps() != null && form.cells() == null) {
            Faults.tell(errors, "cells", "fault.blank");
        }
    }

    private void write(RoomPlan room, StandForm form) {
        List<Long> slots = rooms.addStand(room.id(), form.stand(), Objects.requireNonNull(form.slots()));
        if (form.amps() == null || form.cells() == null) {
            return;
        }
        for (int i = 0; i < slots.size(); i++) {
            String charger = "C" + form.code() + (i + 1);
            chargers.add(slots.get(i), ChargerSheet.ofPlate(charger, form.cells(), new Amperes(form.amps())));
        }
    }
}
