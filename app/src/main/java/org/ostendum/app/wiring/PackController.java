package org.ostendum.app.wiring;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.wiring.Fitting;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.TapRelief;
import org.ostendum.core.wiring.Wiring;
import org.ostendum.core.wiring.WorkOrder;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A pack drawn before a cable comes off: its cables, what is live, and the order of each school. */
@Controller
class PackController {
    private final Packs packs;
    private final TapViews taps;
    private final PackChanges changes;
    private final BadBlocks badBlocks;
    private final CableHistory cables;
    private final Photos photos;

    PackController(
            Packs packs, TapViews taps, PackChanges changes, BadBlocks badBlocks, CableHistory cables, Photos photos) {
        this.packs = packs;
        this.taps = taps;
        this.changes = changes;
        this.badBlocks = badBlocks;
        this.cables = cables;
        this.photos = photos;
    }

    @GetMapping("/batteries/{battery}/pack")
    String pack(
            Battery battery,
            @RequestParam(defaultValue = "LEAST") String school,
            @RequestParam(defaultValue = "apart") String way,
            Words words,
            Model page) {
        return show(battery, school, way.equals("together"), TypedForm.of(words), page);
    }

    /** The same on paper. */
    @GetMapping("/batteries/{battery}/pack.pdf")
    ResponseEntity<byte[]> sheet(
            Battery battery,
            @RequestParam(defaultValue = "LEAST") String school,
            @RequestParam(defaultValue = "apart") String way,
            Words words)
            throws IOException {
        Pack pack = pack(battery);
        boolean together = way.equals("together");
        WorkOrder order = chosen(orders(battery, pack, together), school);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + battery.code() + "-pack.pdf\"")
                .body(PackSheet.of(battery, pack, order, packs.cableNotes(battery.id()), together, words));
    }

    private static List<WorkOrder> orders(Battery battery, Pack pack, boolean together) {
        AmpHours capacity = battery.type().model().capacity();
        return Arrays.stream(School.values())
                .map(s -> together ? WorkOrder.together(pack, s, capacity) : WorkOrder.apart(pack, s, capacity))
                .toList();
    }

    /** @return the order of a school; the last for a name that is none */
    private static WorkOrder chosen(List<WorkOrder> orders, String school) {
        return orders.stream()
                .filter(order -> order.school().name().equals(school))
                .findFirst()
                .orElse(orders.get(orders.size() - 1));
    }

    private String show(Battery battery, String school, boolean together, TypedForm form, Model page) {
        Pack pack = pack(battery);
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("pack", pack);
        page.addAttribute("fittings", pack.fittings());
        page.addAttribute("possible", Fitting.possible(pack));
        page.addAttribute("own", battery.hasOwnLayout());
        page.addAttribute("notes", packs.cableNotes(battery.id()));
        page.addAttribute("pictures", photos.ofJobs(battery.id(), PackSteps.PROCEDURES));
        page.addAttribute("cables", cables.of(battery));
        page.addAttribute("bad", badBlocks.of(battery, pack));
        page.addAttribute("taps", taps.of(battery, pack));
        page.addAttribute("together", together);
        page.addAttribute(
                "drawing", WiringDrawing.of(Wiring.whole(pack), battery.type().cablesLeft(), null));
        List<WorkOrder> orders = orders(battery, pack, together);
        page.addAttribute("orders", orders);
        page.addAttribute("order", chosen(orders, school));
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "wiring/pack";
    }

    private Pack pack(Battery battery) {
        return packs.of(battery).orElseThrow(() -> new NotFound("pack of " + battery.code()));
    }

    @PostMapping("/batteries/{battery}/pack/tap")
    Object tap(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Pack pack = pack(battery);
        String name = form.get("name");
        if (name.isEmpty() || name.length() > 60) {
            form.fault("name", "fault.length", name, 60);
        }
        if (!pack.takesLeads(2)) {
            form.fault("name", "pack.fault.leads", WorkOrder.MOST_CABLES);
        }
        int first = form.whole("first", 1, pack.blocks());
        int last = form.whole("last", first, pack.blocks());
        if (form.isSound()) {
            try {
                packs.addTap(battery.id(), new Tap(name, first, last), words.now());
            } catch (DuplicateKeyException e) {
                form.fault("name", "pack.fault.tap", name);
            }
        }
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(battery, "LEAST", false, form, page), page);
        }
        flash.addFlashAttribute("told", words.text("pack.tap.kept", name));
        return "redirect:/batteries/" + battery.code() + "/pack";
    }

    @PostMapping("/batteries/{battery}/pack/tap-moved")
    String tapMoved(Battery battery, @RequestParam String name, Person person, Words words, RedirectAttributes flash) {
        Pack pack = pack(battery);
        Tap tap = pack.taps().stream()
                .filter(t -> t.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFound("tap " + name + " of " + battery.code()));
        Tap to = TapRelief.of(tap, pack.blocks()).elsewhere();
        changes.moveTap(battery, tap, to, person, words);
        flash.addFlashAttribute("told", words.text("pack.tap.moved", name, to.first(), to.last()));
        return "redirect:/batteries/" + battery.code() + "/pack";
    }

    @PostMapping("/batteries/{battery}/pack/tap-off")
    String tapOff(Battery battery, @RequestParam String name, Words words, RedirectAttributes flash) {
        packs.removeTap(battery.id(), name);
        flash.addFlashAttribute("told", words.text("pack.tap.gone", name));
        return "redirect:/batteries/" + battery.code() + "/pack";
    }
}
