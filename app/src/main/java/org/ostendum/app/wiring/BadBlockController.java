package org.ostendum.app.wiring;

import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.life.BlockWay;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Which way out of a bad block is taken; who takes another than the sums say tells why. */
@Controller
class BadBlockController {
    private static final int LONGEST = 200;

    private final Packs packs;
    private final BadBlocks badBlocks;
    private final PackChanges changes;

    BadBlockController(Packs packs, BadBlocks badBlocks, PackChanges changes) {
        this.packs = packs;
        this.badBlocks = badBlocks;
        this.changes = changes;
    }

    @PostMapping("/batteries/{battery}/pack/bad-block")
    String choose(
            Battery battery,
            @RequestParam BlockWay way,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            RedirectAttributes flash) {
        BadBlocks.BadBlock bad = packs.of(battery)
                .map(pack -> badBlocks.of(battery, pack))
                .orElseThrow(() -> new NotFound("bad block of " + battery.code()));
        String why = reason.strip();
        boolean asked = bad.reckoned() != null && bad.reckoned() != way && why.isEmpty();
        if (asked || why.length() > LONGEST) {
            flash.addFlashAttribute(
                    "told",
                    asked
                            ? words.text("pack.bad.why")
                            : words.text("fault.length", why.substring(0, 20) + "…", LONGEST));
            flash.addFlashAttribute("reason", why);
        } else {
            changes.choose(battery, bad.blocks(), way, why, person, words);
            flash.addFlashAttribute("told", words.text("pack.bad.chosen"));
        }
        return "redirect:/batteries/" + battery.code() + "/pack";
    }
}
