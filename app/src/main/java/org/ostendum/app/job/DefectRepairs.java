package org.ostendum.app.job;

import java.util.List;
import java.util.Optional;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.BatteryEvent.DefectRighted;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts right what was found wrong, and writes it into the battery's ledger. */
@Component
class DefectRepairs {
    private final Defects defects;
    private final Batteries batteries;
    private final BatteryRecord batteryRecord;

    DefectRepairs(Defects defects, Batteries batteries, BatteryRecord batteryRecord) {
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
