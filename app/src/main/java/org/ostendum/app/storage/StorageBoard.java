package org.ostendum.app.storage;

import java.time.LocalDate;
import java.util.List;
import org.ostendum.app.draw.OutlookDrawing;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.job.begin.LayUps;
import org.ostendum.app.storage.StorageView.Drawn;
import org.ostendum.app.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the board shows of all that is put away; with what was typed where that is refused. */
@Component
class StorageBoard {
    private final Storing storing;
    private final Stays stays;
    private final LayUps layUps;

    StorageBoard(Storing storing, Stays stays, LayUps layUps) {
        this.storing = storing;
        this.stays = stays;
        this.layUps = layUps;
    }

    String show(TypedForm form, String csv, Words words, Model page) {
        LocalDate today = LocalDate.ofInstant(words.now(), words.zone());
        List<Drawn> lines = storing.lines().stream()
                .map(line -> new Drawn(line, OutlookDrawing.of(line.outlook(), today)))
                .toList();
        page.addAttribute("place", "fleet");
        page.addAttribute("view", new StorageView(today, lines, storing.others(), layUps.open(), stays.places()));
        page.addAttribute("form", form);
        page.addAttribute("csv", csv);
        page.addAttribute("faults", form.faults());
        return "storage/board";
    }

    Object refused(TypedForm form, String csv, Words words, Model page) {
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(form, csv, words, page), page);
    }
}
