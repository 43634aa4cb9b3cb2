package org.ostendum.app.battery;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;

/** The ledger of the site, and of one battery with the check of its past. */
@Controller
class LedgerController {
    private static final int LINES = 60;

    private final Ledger ledger;
    private final PastCheck past;
    private final People people;
    private final ZoneId zone;

    LedgerController(Ledger ledger, PastCheck past, People people, ZoneId zone) {
        this.ledger = ledger;
        this.past = past;
        this.people = people;
        this.zone = zone;
    }

    @GetMapping("/ledger")
    String site(
            @RequestParam @Nullable Instant before,
            @RequestParam(defaultValue = "0") long beforeId,
            @ModelAttribute LedgerSieve sieve,
            Words words,
            Model page) {
        Ledger.@Nullable Mark mark = before == null ? null : new Ledger.Mark(before, beforeId);
        List<LedgerEntry> entries = ledger.ofSite(mark, sieve.sought(zone), LINES);
        page.addAttribute("place", "ledger");
        page.addAttribute(
                "view",
                new SiteLedgerView(
                        sieve, lines(entries, words), people.all(), List.of(EntryKind.values()), lastOfPage(entries)));
        return "ledger/site";
    }

    @GetMapping("/batteries/{battery}/ledger")
    String battery(
            Battery battery,
            @RequestParam @Nullable Integer before,
            @RequestParam @Nullable String check,
            Words words,
            Model page) {
        List<LedgerEntry> entries = ledger.ofBattery(battery.id(), before, LINES);
        page.addAttribute("place", "fleet");
        @Nullable LedgerEntry last = lastOfPage(entries);
        page.addAttribute(
                "view",
                new BatteryLedgerView(
                        battery,
                        lines(entries, words),
                        last == null ? null : last.seq(),
                        check == null ? null : past.check(battery.id())));
        return "ledger/battery";
    }

    /** @return the last of a full page, after which it goes on; null at the ledger's end */
    private static @Nullable LedgerEntry lastOfPage(List<LedgerEntry> entries) {
        return entries.size() == LINES ? entries.get(LINES - 1) : null;
    }

    private static List<LedgerLine> lines(List<LedgerEntry> entries, Words words) {
        return entries.stream().map(entry -> LedgerLine.of(entry, words)).toList();
    }
}
