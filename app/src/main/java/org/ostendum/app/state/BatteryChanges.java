package org.ostendum.app.state;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Changes of what a battery is and where it is, each with its line on the ledger. All need a transaction. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class BatteryChanges {
    private final Batteries batteries;
    private final BatteryRecord record;
    private final BatteryStates batteryStates;
    private final RoundRecord rounds;

    BatteryChanges(Batteries batteries, BatteryRecord record, BatteryStates batteryStates, RoundRecord rounds) {
        this.batteries = batteries;
        this.record = record;
        this.batteryStates = batteryStates;
        this.rounds = rounds;
    }

    /** A battery that comes to the site. */
    public record Arrival(
            String code, String serial, long modelId, @Nullable LocalDate made, LocalDate inService, boolean dry) {}

    /** @return the battery, which stands nowhere yet */
    public Battery arrive(Arrival arrival, Person by) {
        long id =
                batteries.add(arrival.code(), arrival.serial(), arrival.modelId(), arrival.made(), arrival.inService());
        Battery battery = batteries.byId(id).orElseThrow();
        BatteryEvent came = new BatteryEvent.Arrived(batteryStates.instant(), arrival.dry());
        record.record(battery, List.of(LedgerEvents.entry(came, by.id(), "")));
        return battery;
    }

    /** Puts it into a place or a machine or, with both null, out of sight; a line is written where that is a move. */
    public void place(Battery was, @Nullable Long slotId, @Nullable Long machineId, Person by) {
        batteries.place(was.id(), slotId, machineId);
        Battery is = batteries.byId(was.id()).orElseThrow();
        if (Objects.equals(was.place(), is.place())) {
            return;
        }
        Instant now = batteryStates.instant();
        BatteryEvent moved =
                new BatteryEvent.Moved(now, is.machineCode() == null ? is.place() : null, is.machineCode());
        NewEntry line = LedgerEvents.entry(moved, by.id(), "");
        LedgerPayload told =
                new LedgerPayload.Move(Objects.toString(was.place(), "–"), Objects.toString(is.place(), "–"));
        record.record(is, List.of(line.with(told)));
    }

    /**
     * Gives it another model: everything on record is judged anew by that sheet.
     *
     * @param told what the ledger says of it
     * @throws IllegalArgumentException for one with another number of cells: its readings would be of no cell
     */
    public void remodel(Battery was, StoredModel model, String told, Person by) {
        if (model.model().cells() != was.type().model().cells()) {
            throw new IllegalArgumentException(
                    was.code() + " has " + was.type().model().cells() + " cells, " + model.code() + " "
                            + model.model().cells());
        }
        batteries.remodel(was.id(), model.id());
        Battery is = batteries.byId(was.id()).orElseThrow();
        note(is, told, by);
        rounds.refold(is, batteryStates.rulebook());
    }

    /** Gives it another code; its past stays with it. */
    public void rename(Battery was, String code, String told, Person by) {
        batteries.rename(was.id(), code);
        note(batteries.byId(was.id()).orElseThrow(), told, by);
    }

    private void note(Battery battery, String told, Person by) {
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, batteryStates.instant(), by.id(), null, told)));
    }
}
