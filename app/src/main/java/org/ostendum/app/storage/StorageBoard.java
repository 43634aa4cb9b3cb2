package org.ostendum.app.storage;

import java.time.LocalDate;
import org.ostendum.app.draw.OutlookDrawing;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.job.begin.LayUps;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.app.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the board shows of all that is put away; with what was typed where that is refused. */
@Component
class StorageBoard {
    /** Days before the latest charge from which it presses. */
    private static final int SOON = 7;

    private final Storing storing;
    private final Stays stays;
    private final LayUps layUps;

    StorageBoard(Storing storing, Stays stays, LayUps layUps) {
        this.storing = storing;
        this.stays = stays;
        this.layUps = layUps;
    }

    /** A line with its drawing. */
    record Drawn(Storing.Line line, OutlookDrawing drawing) {}

    String show(TypedForm form, String csv, Words words, Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), words.zone());
        page.addAttribute("place", "fleet");
        page.addAttribute("today", today);
        page.addAttribute("soon", SOON);
        page.addAttribute(
                "lines",
                storing.lines().stream()
                        .map(line -> new Drawn(line, OutlookDrawing.of(line.outlook(), today)))
                        .toList());
        Storing.Others others = storing.others();
        page.addAttribute("dry", others.dry());
        page.addAttribute("planned", layUps.open());
        page.addAttribute("sheds", stays.places());
        page.addAttribute("supplies", Supply.values());
        page.addAttribute("free", others.inService());
        page.addAttribute("form", form);
        page.addAttribute("csv", csv);
        page.addAttribute("faults", form.faults());
        return "storage/board";
    }

    Object refused(TypedForm form, String csv, Words words, Model page) {
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, csv, words, page), page);
    }
}
