package org.ostendum.app.change;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryChanges;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.quantity.AmpHours;
import org.springframework.stereotype.Component;

/** One battery into a machine and the other out of it, in one transaction: both are somewhere at every moment, or nothing has moved. */
@Component
class Exchange {
    private static final String LEFT = "left";

    private final Batteries batteries;
    private final Machines machines;
    private final BatteryChanges changes;
    private final BatteryRecord record;
    private final Clock clock;

    Exchange(Batteries batteries, Machines machines, BatteryChanges changes, BatteryRecord record, Clock clock) {
        this.batteries = batteries;
        this.machines = machines;
        this.changes = changes;
        this.record = record;
        this.clock = clock;
    }

    /**
     * Needs the transaction in which the step is settled.
     *
     * @return code of the battery that came out; empty where the machine had none
     */
    Optional<String> into(long machine, Run run, Battery fresh, Person person) {
        machines.lock(machine);
        Battery goesIn = batteries.byId(fresh.id()).orElseThrow();
        if (goesIn.machineId() != null && goesIn.machineId() == machine) {
            return Optional.empty();
        }
        @Nullable Battery comesOut = batteries.inMachine(machine).orElse(null);
        @Nullable Long free = goesIn.slotId();
        // Its place is empty before the other one stands in it.
        batteries.place(goesIn.id(), null, null);
        if (comesOut != null) {
            worked(comesOut, run, person);
            changes.place(comesOut, free, null, person);
        }
        changes.place(goesIn, null, machine, person);
        return Optional.ofNullable(comesOut).map(Battery::code);
    }

    /** What comes out of a machine has worked; by the gauge, so much of it. */
    private void worked(Battery battery, Run run, Person person) {
        String left = run.value(LEFT);
        @Nullable AmpHours taken = left.isEmpty() ? null : taken(battery, Double.parseDouble(left.replace(',', '.')));
        BatteryEvent worked = new BatteryEvent.Worked(clock.instant(), taken);
        record.record(battery, List.of(LedgerEvents.entry(worked, person.id(), "")));
    }

    private static AmpHours taken(Battery battery, double percentLeft) {
        return AmpHours.of(battery.type().model().capacity().ampHours() * (100 - percentLeft) / 100);
    }
}
