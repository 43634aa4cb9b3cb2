package org.ostendum.app.retire;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Written;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

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
        ObjectNode payload = Payload.object()
                .put("remark", leaving.reason())
                .put("recycler", leaving.recycler())
                .put("receipt", leaving.receipt());
        if (leaving.credit() != null) {
            payload.put("credit", leaving.credit());
        }
        CorrectedGravity gravity = state.lowestGravity();
        if (gravity != null) {
            payload.put("lastGravity", gravity.tenths());
        }
        if (state.tests().part() != null) {
            payload.put("lastPart", state.tests().part());
        }
        NewEntry line = LedgerEvents.entry(new BatteryEvent.Retired(states.instant()), by.id(), "");
        record.record(battery, List.of(line.with(payload.toString())));
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
