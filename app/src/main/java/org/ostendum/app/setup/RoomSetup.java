package org.ostendum.app.setup;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.ostendum.app.inventory.RoomPlan;
import org.ostendum.app.inventory.RoomPlan.Stand;
import org.ostendum.app.inventory.RoomPlan.StandKind;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.Option;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.words.Words;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.quantity.Amperes;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Rooms, and stands with their slots and chargers. */
@Controller
class RoomSetup {
    private final Rooms rooms;
    private final TransactionTemplate transaction;

    RoomSetup(Rooms rooms, TransactionTemplate transaction) {
        this.rooms = rooms;
        this.transaction = transaction;
    }

    @GetMapping("/setup/rooms")
    String list(Words words, Model page) {
        return showRooms(TypedForm.of(words), page);
    }

    private String showRooms(TypedForm form, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("rooms", rooms.names());
        return "setup/rooms";
    }

    @PostMapping("/setup/rooms")
    Object add(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String code = form.code("code");
        String name = form.text("name", 80);
        int width = form.whole("width", 100, 20_000);
        int depth = form.whole("depth", 100, 20_000);
        if (form.isSound()) {
            try {
                rooms.add(code, name, width, depth);
                flash.addFlashAttribute("told", words.text("setup.kept", name));
                return "redirect:/setup/rooms/" + code;
            } catch (DuplicateKeyException e) {
                form.fault("code", "fault.taken", code);
            }
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, showRooms(form, page), page);
    }

    @GetMapping("/setup/rooms/{code}")
    String one(@PathVariable String code, Words words, Model page) {
        return showRoom(find(code), TypedForm.of(words, "slots", "6"), words, page);
    }

    private static String showRoom(RoomPlan room, TypedForm form, Words words, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("room", room);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("kinds", Option.of(StandKind.class, words));
        return "setup/room";
    }

    @PostMapping("/setup/rooms/{code}")
    Object addStand(
            @PathVariable String code,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        RoomPlan room = find(code);
        TypedForm form = new TypedForm(typed, words);
        int slots = form.whole("slots", 1, 60);
        Optional<Stand> stand = stand(form, room);
        OptionalInt amps = form.wholeIfTyped("amps", 1, 1000);
        OptionalInt cells = amps.isPresent() ? OptionalInt.of(form.whole("cells", 1, 144)) : OptionalInt.empty();
        if (form.isSound() && stand.isPresent()) {
            try {
                transaction.executeWithoutResult(status -> write(room, stand.get(), slots, amps, cells));
                flash.addFlashAttribute(
                        "told", words.text("setup.kept", stand.get().name()));
                return "redirect:/setup/rooms/" + code;
            } catch (DuplicateKeyException e) {
                form.fault("code", "fault.taken", form.get("code"));
            }
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, showRoom(room, form, words, page), page);
    }

    private void write(RoomPlan room, Stand stand, int slots, OptionalInt amps, OptionalInt cells) {
        List<Long> ids = rooms.addStand(room.id(), stand, slots);
        for (int i = 0; amps.isPresent() && i < ids.size(); i++) {
            String chargerCode = "C" + stand.code() + (i + 1);
            rooms.addCharger(
                    ids.get(i), ChargerSheet.ofPlate(chargerCode, cells.orElseThrow(), new Amperes(amps.getAsInt())));
        }
    }

    private static Optional<Stand> stand(TypedForm form, RoomPlan room) {
        String code = form.code("code");
        String name = form.text("name", 60);
        Optional<StandKind> kind = form.choice("kind", StandKind.class);
        int x = form.whole("x", 0, room.widthCm());
        int y = form.whole("y", 0, room.depthCm());
        int width = form.whole("width", 30, room.widthCm());
        int depth = form.whole("depth", 30, room.depthCm());
        if (x + width > room.widthCm()) {
            form.fault("width", "fault.outside", x + width, room.widthCm());
        }
        if (y + depth > room.depthCm()) {
            form.fault("depth", "fault.outside", y + depth, room.depthCm());
        }
        return kind.map(k -> new Stand(0, code, name, k, x, y, width, depth, List.of()));
    }

    private RoomPlan find(String code) {
        return rooms.byCode(code).orElseThrow(() -> new NotFound("room " + code));
    }
}
