package org.ostendum.app.wiring;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.inventory.Packs.CableNote;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.wiring.Pack;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What differs in one pack from its model's drawing: a block the other way round, the length and lug of a cable. */
@Controller
class PackDrawingController {
    private static final int LONGEST_CM = 999;
    private static final int LONGEST_LUG = 60;
    private static final int LONGEST_REMARK = 200;
    private static final int DEAREST = 10_000;

    private final Packs packs;
    private final PackPages pages;
    private final PackChanges changes;

    PackDrawingController(Packs packs, PackPages pages, PackChanges changes) {
        this.packs = packs;
        this.pages = pages;
        this.changes = changes;
    }

    private Pack pack(Battery battery) {
        return packs.of(battery).orElseThrow(() -> new NotFound("pack of " + battery.code()));
    }

    private static String back(Battery battery) {
        return "redirect:/batteries/" + battery.code() + "/pack";
    }

    @PostMapping("/batteries/{battery}/pack/turn")
    String turn(Battery battery, @RequestParam int block, Person person, Words words, RedirectAttributes flash) {
        Pack pack = pack(battery);
        if (block < 1 || block > pack.blocks()) {
            throw new NotFound("block " + block + " of " + battery.code());
        }
        changes.turn(battery, pack.layout(), block, person, words);
        flash.addFlashAttribute("told", words.text("pack.turned", block));
        return back(battery);
    }

    @PostMapping("/batteries/{battery}/pack/as-model")
    String asModel(Battery battery, Person person, Words words, RedirectAttributes flash) {
        changes.asModel(battery, person, words);
        flash.addFlashAttribute("told", words.text("pack.as-model.done"));
        return back(battery);
    }

    @PostMapping("/batteries/{battery}/pack/cable")
    Object cable(
            Battery battery,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String number = form.get("number");
        if (pack(battery).cable(number).isEmpty()) {
            throw new NotFound("cable " + number + " of " + battery.code());
        }
        String length = form.get("length");
        Integer centimetres = length.isEmpty() ? null : (Integer) form.whole("length", 1, LONGEST_CM);
        checkLength(form, "lug", LONGEST_LUG);
        checkLength(form, "remark", LONGEST_REMARK);
        @Nullable BigDecimal price = price(form);
        if (!form.isSound()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, pages.show(battery, form, page), page);
        }
        packs.keepCable(battery.id(), new CableNote(number, centimetres, form.get("lug"), form.get("remark"), price));
        flash.addFlashAttribute("told", words.text("pack.cable.kept", number));
        return back(battery);
    }

    private static @Nullable BigDecimal price(TypedForm form) {
        return form.get("price").isEmpty()
                ? null
                : BigDecimal.valueOf(form.number("price", 0, DEAREST)).setScale(2, RoundingMode.HALF_UP);
    }

    private static void checkLength(TypedForm form, String field, int longest) {
        if (form.get(field).length() > longest) {
            form.fault(field, "fault.length", form.get(field).substring(0, 20) + "…", longest);
        }
    }
}
