package org.ostendum.app.retire;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Written;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets a battery go: one line tells it, and with that line it leaves fleet, machine and plan. */
@Service
public class Retiring {
    private final Batteries batteries;
    private final BatteryStates states;
    private final BatteryRecord record;

    Retiring(Batteries batteries, BatteryStates states, BatteryRecord record) {
        this.batteries = batteries;
        this.states = states;
        this.record = record;
    }

    /**
     * Where it goes.
     *
     * @param receipt number of the recycler's or the maker's paper; empty while it is on the way
     * @param credit for its core, in the site's money; null for none
     */
    public record Leaving(String reason, String recycler, String receipt, @Nullable Double credit) {}

    @Transactional
    public void retire(Battery battery, Leaving leaving, Person by) {
        record.lock(battery);
        BatteryState state = states.stateOf(battery);
        NewEntry line = LedgerEvents.entry(new BatteryEvent.Retired(states.instant()), by.id(), leaving.reason());
        LedgerPayload left = new LedgerPayload.Leaving(
                leaving.recycler(),
                leaving.receipt(),
                leaving.credit(),
                state.lowestGravity(),
                state.tests().part());
        record.record(battery, List.of(line.with(left)));
    }

    /** Whoever writes that it has left, or takes that back. */
    @EventListener
    void written(Written written) {
        Battery battery = written.battery();
        boolean about = written.entries().stream()
                .map(NewEntry::kind)
                .anyMatch(kind -> kind == EntryKind.RETIRED || kind == EntryKind.CORRECTION);
        if (!about) {
            return;
        }
        BatteryState state = states.stateOf(battery);
        if (state.stage() == Stage.RETIRED) {
            batteries.place(battery.id(), null, null);
            batteries.retire(battery.id(), state.stageSince());
        } else {
            batteries.retire(battery.id(), null);
        }
    }
}
