package org.ostendum.app.setup;

import java.util.Optional;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Places;
import org.ostendum.app.inventory.Stands;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.room.RoomPlan.Slot;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A stand that is there already: moved on the plan, renamed, given more places or fewer, taken away when it is empty. */
@Controller
public class StandSetup {
    private static final int MOST_PLACES = 60;
    private static final int LONGEST_NAME = 60;
    private static final int LEAST_CM = 30;
    private static final int MOST_CM = 20000;

    private final Stands stands;
    private final Places places;

    StandSetup(Stands stands, Places places) {
        this.stands = stands;
        this.places = places;
    }

    @GetMapping("/setup/rooms/{room}/stands/{stand}")
    String stand(RoomPlan room, @PathVariable long stand, Words words, Model page) {
        Stand known = find(room, stand);
        page.addAttribute("place", "setup");
        page.addAttribute("room", room);
        page.addAttribute("stand", known);
        page.addAttribute("kinds", StandKind.values());
        page.addAttribute(
                "empty",
                known.slots().stream().map(Slot::id).filter(places::isEmpty).toList());
        return "setup/stand";
    }

    private static Stand find(RoomPlan room, long id) {
        return room.stands().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("stand " + id));
    }

    /** Where it was dragged to, or moved by keys; what lies outside the room is refused with a word. */
    @PostMapping("/setup/rooms/{room}/stands/{stand}/move")
    ResponseEntity<String> move(
            RoomPlan room, @PathVariable long stand, @RequestParam int x, @RequestParam int y, Words words) {
        Stand was = find(room, stand);
        Stand is = new Stand(
                was.id(), was.code(), was.name(), was.kind(), x, y, was.widthCm(), was.depthCm(), was.slots());
        if (!fits(is, room)) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
                    .body(words.text("fault.outside", x + is.widthCm(), room.widthCm()));
        }
        Optional<Stand> inTheWay = room.inTheWayOf(is);
        if (inTheWay.isPresent()) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
                    .body(words.text("stand.fault.overlap", inTheWay.get().name()));
        }
        stands.change(is);
        return ResponseEntity.noContent().build();
    }

    /** Machines at the door stand outside its walls. */
    private static boolean fits(Stand stand, RoomPlan room) {
        int most = stand.kind() == StandKind.DOOR ? MOST_CM : room.depthCm();
        return stand.xCm() >= 0
                && stand.yCm() >= 0
                && stand.widthCm() >= LEAST_CM
                && stand.depthCm() >= LEAST_CM
                && stand.rightCm() <= room.widthCm()
                && stand.frontCm() <= most;
    }

    @PostMapping("/setup/rooms/{room}/stands/{stand}")
    Object change(
            RoomPlan room,
            @PathVariable long stand,
            @RequestParam String name,
            @RequestParam StandKind kind,
            @RequestParam int width,
            @RequestParam int depth,
            Words words,
            Model page,
            RedirectAttributes flash) {
        Stand was = find(room, stand);
        String named = name.strip();
        Stand is = new Stand(was.id(), was.code(), named, kind, was.xCm(), was.yCm(), width, depth, was.slots());
        boolean isNamed = !named.isEmpty() && named.length() <= LONGEST_NAME;
        if (!isNamed || !fits(is, room)) {
            page.addAttribute(
                    "fault",
                    isNamed
                            ? words.text("stand.fault.size", room.widthCm(), room.depthCm())
                            : words.text("stand.fault.name", LONGEST_NAME));
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, stand(room, stand, words, page), page);
        }
        Optional<Stand> inTheWay = room.inTheWayOf(is);
        if (inTheWay.isPresent()) {
            page.addAttribute(
                    "fault", words.text("stand.fault.overlap", inTheWay.get().name()));
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, stand(room, stand, words, page), page);
        }
        stands.change(is);
        flash.addFlashAttribute("told", words.text("setup.kept", named));
        return "redirect:/setup/rooms/" + room.code();
    }

    @PostMapping("/setup/rooms/{room}/stands/{stand}/places")
    @Transactional
    public String addPlace(RoomPlan room, @PathVariable long stand, Words words, RedirectAttributes flash) {
        Stand known = find(room, stand);
        int next = known.slots().stream().mapToInt(Slot::number).max().orElse(0) + 1;
        if (next > MOST_PLACES) {
            flash.addFlashAttribute("fault", words.text("stand.fault.places", MOST_PLACES));
        } else {
            places.add(stand, next, places.freeCode(known.name() + " " + next), 1);
        }
        return back(room, stand);
    }

    @PostMapping("/setup/rooms/{room}/stands/{stand}/places/{place}")
    String rename(
            RoomPlan room,
            @PathVariable long stand,
            @PathVariable long place,
            @RequestParam String code,
            Words words,
            RedirectAttributes flash) {
        Slot slot = place(room, stand, place);
        String wanted = code.strip();
        if (wanted.isEmpty() || wanted.length() > Places.LONGEST_CODE) {
            flash.addFlashAttribute("fault", words.text("stand.fault.name", Places.LONGEST_CODE));
            return back(room, stand);
        }
        try {
            places.rename(slot.id(), wanted);
            flash.addFlashAttribute("told", words.text("setup.kept", wanted));
        } catch (DuplicateKeyException e) {
            flash.addFlashAttribute("fault", words.text("fault.taken", wanted));
        }
        return back(room, stand);
    }

    /** Whatever stands or hangs there must be elsewhere first. */
    @PostMapping("/setup/rooms/{room}/stands/{stand}/places/{place}/remove")
    @Transactional
    public String removePlace(
            RoomPlan room, @PathVariable long stand, @PathVariable long place, Words words, RedirectAttributes flash) {
        Slot slot = place(room, stand, place);
        if (!places.isEmpty(slot.id())) {
            flash.addFlashAttribute("fault", words.text("stand.fault.full", slot.code()));
            return back(room, stand);
        }
        places.remove(slot.id());
        flash.addFlashAttribute("told", words.text("stand.removed", slot.code()));
        return back(room, stand);
    }

    @PostMapping("/setup/rooms/{room}/stands/{stand}/remove")
    @Transactional
    public String remove(RoomPlan room, @PathVariable long stand, Words words, RedirectAttributes flash) {
        Stand known = find(room, stand);
        Optional<Slot> full =
                known.slots().stream().filter(s -> !places.isEmpty(s.id())).findFirst();
        if (full.isPresent()) {
            flash.addFlashAttribute(
                    "fault", words.text("stand.fault.full", full.get().code()));
            return back(room, stand);
        }
        known.slots().forEach(s -> places.remove(s.id()));
        stands.removeIfEmpty(known.id());
        flash.addFlashAttribute("told", words.text("stand.removed", known.name()));
        return "redirect:/setup/rooms/" + room.code();
    }

    private static Slot place(RoomPlan room, long stand, long place) {
        return find(room, stand).slots().stream()
                .filter(s -> s.id() == place)
                .findFirst()
                .orElseThrow(() -> new NotFound("place " + place));
    }

    private static String back(RoomPlan room, long stand) {
        return "redirect:/setup/rooms/" + room.code() + "/stands/" + stand;
    }
}
