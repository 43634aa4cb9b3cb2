package org.ostendum.app.state;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/**
 * Puts right what is on record: a new line that points to the old one, which stays as it is. Everything that followed from the
 * old one follows anew from the new one; what was held at the time stays readable in its line.
 */
@Service
public class Corrections {
    private final Ledger ledger;
    private final Rounds rounds;
    private final BatteryStates batteryStates;
    private final RoundRecord roundRecord;
    private final ApplicationEventPublisher events;

    Corrections(
            Ledger ledger,
            Rounds rounds,
            BatteryStates batteryStates,
            RoundRecord roundRecord,
            ApplicationEventPublisher events) {
        this.ledger = ledger;
        this.rounds = rounds;
        this.batteryStates = batteryStates;
        this.roundRecord = roundRecord;
        this.events = events;
    }

    /** One cell of a round. */
    @Transactional
    public void correct(
            Battery battery, ClosedRound round, CellReading was, CellReading is, String reason, long personId) {
        ledger.lock(battery.id());
        ObjectNode payload = Payload.object();
        payload.set("was", RoundRecord.reading(was));
        payload.set("is", RoundRecord.reading(is));
        payload.put("reason", reason);
        append(battery, is.cell(), round.ledgerEntryId(), payload, personId);
        rounds.revise(battery.id(), round.id(), is);
        follow(battery);
    }

    /**
     * Voltages read on charge, put beside the gravities of a round: the judge asks for them to tell why a cell is low.
     *
     * @param byCell of cells that the round has read
     */
    @Transactional
    public void addChargeVolts(Battery battery, ClosedRound round, Map<Integer, Volts> byCell, long personId) {
        ledger.lock(battery.id());
        ObjectNode payload = Payload.object().put("load", "ON_CHARGE").put("read", byCell.size());
        ObjectNode millivolts = payload.putObject("millivolts");
        byCell.forEach((cell, volts) -> millivolts.put(String.valueOf(cell), volts.millivolts()));
        ledger.append(
                battery.id(),
                List.of(new NewEntry(
                        EntryKind.VOLTAGE, batteryStates.instant(), personId, null, null, null, payload.toString())));
        byCell.forEach((cell, volts) -> round.past()
                .round()
                .reading(cell)
                .ifPresent(was -> rounds.revise(battery.id(), round.id(), withVolts(was, volts))));
        follow(battery);
    }

    private static CellReading withVolts(CellReading was, Volts volts) {
        return new CellReading(
                was.cell(),
                was.gravity(),
                was.tooLow(),
                was.confirmed(),
                was.temperature(),
                volts,
                true,
                was.level(),
                was.colour());
    }

    /** What is true of all cells of a round: its state and its temperature. */
    @Transactional
    public void correct(
            Battery battery,
            ClosedRound round,
            RoundState state,
            @Nullable Celsius temperature,
            String reason,
            long personId) {
        ledger.lock(battery.id());
        var was = round.past().round();
        ObjectNode payload = Payload.object();
        payload.set("was", whole(was.state(), was.temperature()));
        payload.set("is", whole(state, temperature));
        payload.put("reason", reason);
        append(battery, null, round.ledgerEntryId(), payload, personId);
        rounds.revise(round.id(), state, temperature);
        follow(battery);
    }

    private static ObjectNode whole(RoundState state, @Nullable Celsius temperature) {
        ObjectNode node = Payload.object().put("state", state.name());
        if (temperature != null) {
            node.put("celsiusTenths", temperature.tenths());
        }
        return node;
    }

    /** A line that should never have been written: from now on it is as if it had not been. */
    @Transactional
    public void takeBack(Battery battery, LedgerEntry line, String reason, long personId) {
        ledger.lock(battery.id());
        ObjectNode payload =
                Payload.object().put("takenBack", line.kind().name()).put("reason", reason);
        long correction = append(battery, line.cell(), line.id(), payload, personId);
        if (line.kind() == EntryKind.ROUND) {
            rounds.byEntry(line.id()).ifPresent(round -> rounds.voidRound(round, correction));
        }
        follow(battery);
    }

    /** A line that told something wrong: the right one takes its place. */
    @Transactional
    public void replace(Battery battery, LedgerEntry line, NewEntry by) {
        ledger.lock(battery.id());
        ledger.append(battery.id(), List.of(by.correcting(line.id())));
        follow(battery);
    }

    private long append(Battery battery, @Nullable Integer cell, long corrects, ObjectNode payload, long personId) {
        return ledger.append(
                        battery.id(),
                        List.of(new NewEntry(
                                EntryKind.CORRECTION,
                                batteryStates.instant(),
                                personId,
                                cell,
                                null,
                                corrects,
                                payload.toString())))
                .get(0);
    }

    private void follow(Battery battery) {
        roundRecord.refold(battery, batteryStates.rulebook());
        events.publishEvent(new Written(battery, List.of()));
    }
}
