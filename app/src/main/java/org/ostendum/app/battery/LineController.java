package org.ostendum.app.battery;

import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.event.LogForm;
import org.ostendum.app.event.LogReading;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.Corrections;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One line of a ledger, and putting it right: by the right one in its place, or by taking it back. */
@Controller
class LineController {
    private final Ledger ledger;
    private final Corrections corrections;
    private final LogReading reading;
    private final LineOrigins origins;

    LineController(Ledger ledger, Corrections corrections, LogReading reading, LineOrigins origins) {
        this.ledger = ledger;
        this.corrections = corrections;
        this.reading = reading;
        this.origins = origins;
    }

    @GetMapping("/batteries/{battery}/ledger/{seq}")
    String line(Battery battery, @PathVariable int seq, Person person, Words words, Model page) {
        LedgerEntry line = line(battery, seq);
        return show(battery, line, formOf(line), Faults.NONE, person, words, page);
    }

    private static LogForm formOf(LedgerEntry line) {
        return new LogForm(
                line.kind(),
                "",
                line.quantity() == null
                        ? ""
                        : line.quantity().stripTrailingZeros().toPlainString(),
                Objects.toString(line.cell(), ""),
                "",
                "",
                "");
    }

    private String show(
            Battery battery, LedgerEntry line, LogForm form, Faults faults, Person person, Words words, Model page) {
        page.addAttribute("place", "fleet");
        page.addAttribute(
                "view",
                new LineView(
                        battery,
                        LedgerLine.of(line, words),
                        origins.of(line, words),
                        mayCorrect(line, person),
                        EntryKind.BY_HAND.contains(line.kind()),
                        line.kind() == EntryKind.ROUND,
                        form));
        page.addAttribute("faults", faults);
        page.addAttribute("endings", LogForm.ENDINGS);
        return "ledger/line";
    }

    /** A person puts right what he wrote himself; a lead what anybody wrote. What was corrected once is corrected. */
    private static boolean mayCorrect(LedgerEntry line, Person person) {
        boolean entitled =
                person.isLead() || (person.worksOnBatteries() && line.person().equals(person.name()));
        return entitled && line.kind().canBeVoided() && line.correctedBySeq() == null;
    }

    @PostMapping("/batteries/{battery}/ledger/{seq}/take-back")
    Object takeBack(
            Battery battery,
            @PathVariable int seq,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        LedgerEntry line = line(battery, seq);
        Faults.Finder faults = new Faults.Finder(words);
        entitled(line, person, faults);
        if (reason.strip().length() < 3 || reason.length() > 400) {
            faults.add("reason", "correct.fault.reason");
        }
        if (faults.any()) {
            return refused(battery, line, formOf(line), faults.found(), person, words, page);
        }
        if (!corrections.takeBack(battery, line, reason.strip(), person.id())) {
            faults.add("reason", "line.fault.meanwhile");
            return refused(battery, line(battery, seq), formOf(line), faults.found(), person, words, page);
        }
        flash.addFlashAttribute("told", words.text("line.taken-back", seq));
        return "redirect:/batteries/" + battery.code();
    }

    @PostMapping("/batteries/{battery}/ledger/{seq}/replace")
    Object replace(
            Battery battery,
            @PathVariable int seq,
            @ModelAttribute LogForm typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        LedgerEntry line = line(battery, seq);
        LogForm form = new LogForm(
                line.kind(),
                typed.when(),
                typed.quantity(),
                typed.cell(),
                typed.ending(),
                typed.remark(),
                typed.meant());
        Faults.Finder faults = new Faults.Finder(words);
        entitled(line, person, faults);
        if (form.remarkText().length() < 3) {
            faults.add("remark", "correct.fault.reason");
        }
        Optional<NewEntry> right = faults.any() ? Optional.empty() : reading.read(battery, form, person, words, faults);
        if (right.isEmpty()) {
            return refused(battery, line, form, faults.found(), person, words, page);
        }
        boolean sameTime = form.when() == null || form.when().isBlank();
        NewEntry by = sameTime ? right.get().at(line.happenedAt()) : right.get();
        if (!corrections.replace(battery, line, by)) {
            faults.add("reason", "line.fault.meanwhile");
            return refused(battery, line(battery, seq), form, faults.found(), person, words, page);
        }
        flash.addFlashAttribute("told", words.text("line.replaced", seq));
        return "redirect:/batteries/" + battery.code();
    }

    private static void entitled(LedgerEntry line, Person person, Faults.Finder faults) {
        if (!mayCorrect(line, person)) {
            faults.add("reason", "line.fault.entitled", line.seq());
        }
    }

    private Object refused(
            Battery battery, LedgerEntry line, LogForm form, Faults faults, Person person, Words words, Model page) {
        return Faults.page(
                HttpStatus.UNPROCESSABLE_CONTENT, show(battery, line, form, faults, person, words, page), page);
    }

    private LedgerEntry line(Battery battery, int seq) {
        return ledger.line(battery.id(), seq).orElseThrow(() -> new NotFound("line " + seq + " of " + battery.code()));
    }
}
