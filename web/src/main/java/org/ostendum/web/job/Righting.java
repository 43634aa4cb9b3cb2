package org.ostendum.web.job;

import java.util.List;
import org.ostendum.web.judgement.Logbook;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Defects;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Person;
import org.ostendum.web.words.Words;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts right what was found wrong, and writes it into the battery's ledger. */
@Component
class Righting {
    private final Defects defects;
    private final Batteries batteries;
    private final Logbook logbook;

    Righting(Defects defects, Batteries batteries, Logbook logbook) {
        this.defects = defects;
        this.batteries = batteries;
        this.logbook = logbook;
    }

    @Transactional
    public void putRight(Defects.Defect defect, String remark, Person person, Words words) {
        if (defects.putRight(defect.id(), remark, person.id()) && defect.batteryId() != null) {
            String told = words.text("defect.ledger", words.name(defect.kind()), remark);
            batteries
                    .byId(defect.batteryId())
                    .ifPresent(battery -> logbook.write(
                            battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), person.id(), null, told))));
        }
    }
}
