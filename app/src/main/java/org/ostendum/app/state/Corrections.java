package org.ostendum.app.state;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

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

    /**
     * What a person has before him when he puts something right: by it is known whether somebody else has meanwhile.
     *
     * @param cell null for what is true of all cells
     */
    public String seen(ClosedRound round, @Nullable Integer cell) {
        return round.ledgerEntryId() + "." + ledger.corrections(round.ledgerEntryId(), cell);
    }

    /**
     * One cell of a round.
     *
     * @param seen as {@link #seen} told it when it was shown
     * @return whether it was put right: not where somebody else has meanwhile
     */
    @Transactional
    public boolean correct(
            Battery battery,
            ClosedRound round,
            CellReading was,
            CellReading is,
            String seen,
            String reason,
            long personId) {
        ledger.lock(battery.id());
        if (!seen.equals(seen(round, is.cell()))) {
            return false;
        }
        LedgerPayload told = new LedgerPayload.CellCorrected(was, is, reason);
        append(battery, is.cell(), round.ledgerEntryId(), told, personId);
        rounds.revise(battery.id(), round.id(), is);
        follow(battery);
        return true;
    }

    /**
     * Voltages read on charge, put beside the gravities of a round: the judge asks for them to tell why a cell is low.
     *
     * @param byCell of cells that the round has read
     */
    @Transactional
    public void addChargeVolts(Battery battery, ClosedRound round, Map<Integer, Volts> byCell, long personId) {
        ledger.lock(battery.id());
        ledger.append(
                battery.id(),
                List.of(NewEntry.keeping(
                        EntryKind.VOLTAGE,
                        batteryStates.instant(),
                        personId,
                        new LedgerPayload.Voltages("ON_CHARGE", byCell.size()),
                        new LedgerPayload.RoundVolts(round.ledgerEntryId(), byCell))));
        byCell.forEach((cell, volts) -> round.past()
                .round()
                .reading(cell)
                .ifPresent(was -> rounds.revise(battery.id(), round.id(), withVolts(was, volts))));
        follow(battery);
    }

    static CellReading withVolts(CellReading was, Volts volts) {
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

    /**
     * Every gravity of some rounds, by as much: they were read with a hydrometer that reads wrong. Needs possible ones.
     *
     * @param read of one battery
     * @param points added to each
     */
    @Transactional
    public void shift(Battery battery, List<ClosedRound> read, int points, String reason, long personId) {
        ledger.lock(battery.id());
        LedgerPayload told = new LedgerPayload.GravitiesShifted(points, reason);
        for (ClosedRound round : read) {
            append(battery, null, round.ledgerEntryId(), told, personId);
            rounds.reviseAll(
                    battery.id(),
                    round.id(),
                    round.past().round().readings().stream()
                            .filter(reading -> reading.gravity() != null)
                            .map(reading -> shifted(reading, points))
                            .toList());
        }
        follow(battery);
    }

    static CellReading shifted(CellReading was, int points) {
        return was.gravity() == null
                ? was
                : was.withGravity(SpecificGravity.ofPoints(was.gravity().points() + points));
    }

    /**
     * What is true of all cells of a round: its state and its temperature.
     *
     * @return whether it was put right: not where somebody else has meanwhile
     */
    @Transactional
    public boolean correct(
            Battery battery,
            ClosedRound round,
            RoundState state,
            @Nullable Celsius temperature,
            String seen,
            String reason,
            long personId) {
        ledger.lock(battery.id());
        if (!seen.equals(seen(round, null))) {
            return false;
        }
        var was = round.past().round();
        LedgerPayload told = new LedgerPayload.RoundCorrected(
                new LedgerPayload.RoundHead(was.state(), was.temperature()),
                new LedgerPayload.RoundHead(state, temperature),
                reason);
        append(battery, null, round.ledgerEntryId(), told, personId);
        rounds.revise(round.id(), state, temperature);
        follow(battery);
        return true;
    }

    /**
     * A line that should never have been written: from now on it is as if it had not been.
     *
     * @return whether it was taken back: not where it has been corrected meanwhile
     */
    @Transactional
    public boolean takeBack(Battery battery, LedgerEntry line, String reason, long personId) {
        ledger.lock(battery.id());
        if (isCorrected(battery, line)) {
            return false;
        }
        LedgerPayload told = new LedgerPayload.TakenBack(line.kind(), reason);
        long correction = append(battery, line.cell(), line.id(), told, personId);
        if (line.kind() == EntryKind.ROUND) {
            rounds.byEntry(line.id()).ifPresent(round -> rounds.voidRound(round, correction));
        }
        follow(battery);
        return true;
    }

    /**
     * A line that told something wrong: the right one takes its place.
     *
     * @return whether it did: not where it has been corrected meanwhile
     */
    @Transactional
    public boolean replace(Battery battery, LedgerEntry line, NewEntry by) {
        ledger.lock(battery.id());
        if (isCorrected(battery, line)) {
            return false;
        }
        ledger.append(battery.id(), List.of(by.correcting(line.id())));
        follow(battery);
        return true;
    }

    private boolean isCorrected(Battery battery, LedgerEntry line) {
        return ledger.line(battery.id(), line.seq()).orElseThrow().correctedBySeq() != null
                && line.kind() != EntryKind.ROUND;
    }

    private long append(Battery battery, @Nullable Integer cell, long corrects, LedgerPayload told, long personId) {
        return ledger.append(
                        battery.id(),
                        List.of(NewEntry.keeping(EntryKind.CORRECTION, batteryStates.instant(), personId, told)
                                .ofCell(cell)
                                .correcting(corrects)))
                .get(0);
    }

    private void follow(Battery battery) {
        roundRecord.refold(battery, batteryStates.rulebook());
        events.publishEvent(new Written(battery, List.of()));
    }
}
