package org.ostendum.app.report;

import java.util.List;
import java.util.Optional;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent.DefectRighted;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What was found wrong, and put right, written into the battery's ledger. */
@Component
public class DefectReports {
    private final Defects defects;
    private final Batteries batteries;
    private final BatteryRecord batteryRecord;
    private final BatteryStates states;

    DefectReports(Defects defects, Batteries batteries, BatteryRecord batteryRecord, BatteryStates states) {
        this.defects = defects;
        this.batteries = batteries;
        this.batteryRecord = batteryRecord;
        this.states = states;
    }

    /** @return id of the defect; empty where the same stood open already */
    @Transactional
    public Optional<Long> report(Battery battery, DefectKind kind, String remark, Person person, Words words) {
        batteryRecord.lock(battery);
        Optional<Defects.Found> opened = defects.open(battery, kind, remark, null, person.id());
        opened.ifPresent(found -> {
            String told = remark.isEmpty() ? words.name(kind) : words.text("defect.ledger", words.name(kind), remark);
            NewEntry line = NewEntry.of(EntryKind.DEFECT, found.event().at(), person.id(), null, told);
            batteryRecord.record(battery, List.of(line), found.ofBattery() ? List.of(found.event()) : List.of());
        });
        return opened.map(Defects.Found::id);
    }

    /** @return what whoever reports it does before anything else; empty for nothing */
    public String atOnce(Battery battery, Words words) {
        return states.stateOf(battery).isChargeToBeEnded() ? words.text("defect.on-charge", battery.code()) : "";
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
