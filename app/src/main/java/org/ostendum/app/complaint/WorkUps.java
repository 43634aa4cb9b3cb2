package org.ostendum.app.complaint;

import java.util.List;
import org.ostendum.app.complaint.Complaints.Said;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.Known;
import org.ostendum.core.complaint.WorkUp;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Complaints from the driver's words to the cause, which goes into the ledger and, where it is a defect, shuts what it has to shut. */
@Service
public class WorkUps {
    private final Complaints complaints;
    private final OwnWeights weights;
    private final Defects defects;
    private final Batteries batteries;
    private final BatteryStates states;
    private final BatteryRecord record;

    WorkUps(
            Complaints complaints,
            OwnWeights weights,
            Defects defects,
            Batteries batteries,
            BatteryStates states,
            BatteryRecord record) {
        this.complaints = complaints;
        this.weights = weights;
        this.defects = defects;
        this.batteries = batteries;
        this.states = states;
        this.record = record;
    }

    /**
     * A second complaint about the same battery while one is open goes on with that one.
     *
     * @return its id
     */
    @Transactional
    public long open(Battery battery, Complaint kind, String said, Person by, Words words) {
        record.lock(battery);
        return complaints.openOf(battery.id()).map(Said::id).orElseGet(() -> {
            long id = complaints.add(battery.id(), kind, said, by.id(), words.now());
            Known.of(states.stateOf(battery))
                    .forEach((look, shown) -> complaints.see(id, look, shown, true, by.id(), words.now()));
            String told = words.text("complaint.ledger", words.name(kind), said).strip();
            record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told)));
            return id;
        });
    }

    WorkUp workUp(Said said) {
        return new WorkUp(weights.table(), said.kind(), complaints.seen(said.id()));
    }

    /** @return whether it ended now */
    @Transactional
    public boolean end(Said said, Cause cause, Person by, Words words) {
        if (!complaints.end(said.id(), cause, by.id(), words.now())) {
            return false;
        }
        Battery battery =
                batteries.byId(said.batteryId()).orElseThrow(() -> new NotFound("battery of complaint " + said.id()));
        String told = words.text("complaint.ledger.ended", words.name(said.kind()), words.name(cause));
        List<BatteryEvent> found = cause.defect()
                .flatMap(kind -> defects.open(battery.id(), null, kind, told, null, by.id()))
                .map(event -> List.<BatteryEvent>of(event))
                .orElse(List.of());
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told)), found);
        return true;
    }
}
