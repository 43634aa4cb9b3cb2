package org.ostendum.app.wiring;

import java.io.IOException;
import java.util.Map;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.TapRelief;
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
    private final PackPages pages;
    private final PackChanges changes;

    PackController(Packs packs, PackPages pages, PackChanges changes) {
        this.packs = packs;
        this.pages = pages;
        this.changes = changes;
    }

    @GetMapping("/batteries/{battery}/pack")
    String pack(
            Battery battery,
            @RequestParam(defaultValue = "LEAST") String school,
            @RequestParam(defaultValue = "apart") String way,
            Words words,
            Model page) {
        return pages.show(battery, school, way.equals("together"), TypedForm.of(words), page);
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
        WorkOrder order = PackPages.chosen(PackPages.orders(battery, pack, together), school);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + battery.code() + "-pack.pdf\"")
                .body(PackSheet.of(battery, pack, order, packs.cableNotes(battery.id()), together, words));
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
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, pages.show(battery, form, page), page);
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
