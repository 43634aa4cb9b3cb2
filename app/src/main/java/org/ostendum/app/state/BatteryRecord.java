package org.ostendum.app.state;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.Snapshot;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The one way to write of a battery: lock it, append to its ledger, fold what happened onto its state, keep that. */
@Service
public class BatteryRecord {
    private final Ledger ledger;
    private final BatteryStates batteryStates;
    private final BatteryFolds folds;
    private final States states;
    private final RoundRecord roundRecord;
    private final ApplicationEventPublisher events;

    public BatteryRecord(
            Ledger ledger,
            BatteryStates batteryStates,
            BatteryFolds folds,
            States states,
            RoundRecord roundRecord,
            ApplicationEventPublisher events) {
        this.ledger = ledger;
        this.batteryStates = batteryStates;
        this.folds = folds;
        this.states = states;
        this.roundRecord = roundRecord;
        this.events = events;
    }

    /** @return ids of the lines written */
    @Transactional
    public List<Long> record(Battery battery, List<NewEntry> entries) {
        return record(battery, entries, List.of());
    }

    /** Before anything is written that hangs on the battery: two who wrote beside it first would wait for each other for ever. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock(Battery battery) {
        ledger.lock(battery.id());
    }

    /**
     * @param besides what happened and stands in tables of its own, such as a defect that was found
     * @return ids of the lines written
     */
    @Transactional
    public List<Long> record(Battery battery, List<NewEntry> entries, List<BatteryEvent> besides) {
        ledger.lock(battery.id());
        Rulebook book = batteryStates.rulebook();
        Snapshot before = batteryStates.stored(battery, book).snapshot();
        List<BatteryEvent> happened = new ArrayList<>(besides);
        entries.stream().flatMap(entry -> LedgerEvents.event(entry).stream()).forEach(happened::add);
        happened.sort(Comparator.comparing(BatteryEvent::at));
        boolean inOrder = happened.stream().allMatch(event -> before.isBefore(event.at()))
                && entries.stream().allMatch(entry -> entry.correctsId() == null);
        List<Long> written;
        if (inOrder) {
            BatteryFold fold = folds.resumed(battery, book, before);
            written = ledger.append(battery.id(), entries);
            happened.forEach(fold::fold);
            states.keep(folds.stored(battery, fold, book));
        } else {
            written = ledger.append(battery.id(), entries);
            // What is held of rounds after it may be another now.
            roundRecord.refold(battery, book);
        }
        events.publishEvent(new Written(battery, entries));
        return written;
    }
}
