package org.ostendum.web.job;

import java.util.List;
import java.util.Optional;
import org.ostendum.core.event.BatteryEvent.DefectRighted;
import org.ostendum.web.state.BatteryRecord;
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
    private final BatteryRecord batteryRecord;

    Righting(Defects defects, Batteries batteries, BatteryRecord batteryRecord) {
        this.defects = defects;
        this.batteries = batteries;
        this.batteryRecord = batteryRecord;
    }

    @Transactional
    public void putRight(Defects.Defect defect, String remark, Person person, Words words) {
        Optional<DefectRighted> righted = defects.putRight(defect.id(), remark, person.id());
        if (righted.isPresent() && defect.batteryId() != null) {
            String told = words.text("defect.ledger", words.name(defect.kind()), remark);
            NewEntry line = NewEntry.of(EntryKind.DEFECT_RIGHTED, righted.get().at(), person.id(), null, told);
            batteries
                    .byId(defect.batteryId())
                    .ifPresent(battery -> batteryRecord.record(battery, List.of(line), List.of(righted.get())));
        }
    }
}
