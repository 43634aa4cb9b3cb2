package org.ostendum.app.round;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundSheet;
import org.ostendum.core.measure.SheetEntry;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.measure.SheetValue;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Taking a round: each value is kept the moment it comes, and nobody overwrites another's unknowingly. */
@Service
class RoundTaking {
    private final OpenRounds rounds;
    private final RoundRecord record;
    private final BatteryRecord batteryRecord;
    private final BatteryStates batteryStates;

    RoundTaking(OpenRounds rounds, RoundRecord record, BatteryRecord batteryRecord, BatteryStates batteryStates) {
        this.rounds = rounds;
        this.record = record;
        this.batteryRecord = batteryRecord;
        this.batteryStates = batteryStates;
    }

    /**
     * A value as sent.
     *
     * @param key made on the device, so that a value sent twice is kept once
     * @param cell 1.., or 0 for the whole round
     * @param value as typed; empty takes the earlier value back
     * @param base id of the value the person saw there; 0 for none
     */
    record Sent(String key, int cell, SheetField field, @Nullable String value, long base) {}

    @Transactional
    public ValueOutcome keep(long roundId, int cells, Sent sent, Person person, Words words) {
        if (sent.cell() < 0 || sent.cell() > cells || !sent.key().matches("[0-9a-fA-F-]{36}")) {
            return new ValueOutcome.Refused(words.text("correct.none", sent.cell()));
        }
        TypedInput.Read<SheetValue> read = SheetValues.typed(sent.field(), sent.value(), words);
        if (read.fault() != null) {
            return new ValueOutcome.Refused(read.fault());
        }
        // Locked before anything is read, so that of two who type at once the second is told.
        if (!rounds.lock(roundId)) {
            return new ValueOutcome.Gone();
        }
        if (rounds.isKept(sent.key())) {
            return new ValueOutcome.Kept();
        }
        Optional<KeptValue> theirs = rounds.latest(roundId, sent.cell(), sent.field())
                .filter(latest -> latest.id() != sent.base() && latest.personId() != person.id())
                .filter(latest -> !Objects.equals(latest.value(), read.value()));
        if (theirs.isPresent()) {
            return new ValueOutcome.Conflict(theirs.get());
        }
        rounds.keep(roundId, sent.key(), new SheetEntry(sent.cell(), sent.field(), read.value()), person.id());
        return new ValueOutcome.Kept();
    }

    /**
     * Puts the round on record.
     *
     * @return false when it has nothing in it or is no longer open
     */
    @Transactional
    public boolean close(Battery battery, long roundId, Person person) {
        if (!rounds.lock(roundId)) {
            return false;
        }
        OpenRound open = rounds.byId(roundId).orElseThrow();
        int cells = battery.type().model().cells();
        RoundSheet sheet = open.sheet(cells);
        if (sheet.readings().isEmpty()) {
            return false;
        }
        Round round = sheet.round(batteryStates.instant(), open.state());
        Set<Integer> bridged = batteryStates.stateOf(battery).cells().bridged().keySet();
        record.close(battery, roundId, round, coverage(open, sheet, cells, bridged), person.id());
        return true;
    }

    /**
     * Ends the round without a word on the cells. What was typed stays in the database, and the ledger says that it was let go.
     *
     * @return false when it is no longer open
     */
    @Transactional
    public boolean discard(Battery battery, long roundId, String reason, Person person) {
        if (!rounds.lock(roundId)) {
            return false;
        }
        OpenRound open = rounds.byId(roundId).orElseThrow();
        int cells = open.sheet(battery.type().model().cells()).cellsRead();
        rounds.discard(roundId);
        if (!open.values().isEmpty()) {
            batteryRecord.record(
                    battery,
                    List.of(NewEntry.keeping(
                            EntryKind.NOTE,
                            batteryStates.instant(),
                            person.id(),
                            new LedgerPayload.Discarded(cells),
                            LedgerPayload.Remark.of(reason))));
        }
        return true;
    }

    private static Coverage coverage(OpenRound open, RoundSheet sheet, int cells, Set<Integer> bridged) {
        if (sheet.cellsReadBut(bridged) == cells - bridged.size()) {
            return Coverage.WHOLE;
        }
        return open.coverage() == Coverage.PILOT && sheet.cellsRead() <= 1 ? Coverage.PILOT : Coverage.PARTIAL;
    }
}
