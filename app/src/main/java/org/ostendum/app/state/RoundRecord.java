package org.ostendum.app.state;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.ledger.VerdictText;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.Snapshot;
import org.ostendum.core.state.Surroundings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts rounds on record: folded onto the battery's state, written into the ledger with the verdict that stands, readings stored. */
@Service
public class RoundRecord {
    private final BatteryStates batteryStates;
    private final BatteryFolds folds;
    private final States states;
    private final Ledger ledger;
    private final Rounds rounds;
    private final RoomShifts shifts;

    public RoundRecord(
            BatteryStates batteryStates,
            BatteryFolds folds,
            States states,
            Ledger ledger,
            Rounds rounds,
            RoomShifts shifts) {
        this.batteryStates = batteryStates;
        this.folds = folds;
        this.states = states;
        this.ledger = ledger;
        this.rounds = rounds;
        this.shifts = shifts;
    }

    /** Puts a round that was taken through the drawing on record. */
    @Transactional
    public void close(Battery battery, long roundId, Round round, Coverage coverage, long personId) {
        take(battery, round, coverage, personId, (entry, past) -> rounds.close(roundId, entry, coverage, past));
    }

    /** Puts a round that comes from elsewhere on record. */
    @Transactional
    public void record(Battery battery, Round round, Coverage coverage, long personId) {
        take(
                battery,
                round,
                coverage,
                personId,
                (entry, past) -> rounds.record(battery.id(), personId, entry, coverage, past));
    }

    private interface Storing {
        void store(long ledgerEntry, PastRound past);
    }

    private void take(Battery battery, Round round, Coverage coverage, long personId, Storing storing) {
        ledger.lock(battery.id());
        Rulebook book = batteryStates.rulebook();
        Snapshot before = batteryStates.stored(battery, book).snapshot();
        if (!before.isBefore(round.takenAt())) {
            takeLate(battery, round, coverage, personId, storing, book);
            return;
        }
        BatteryFold fold = folds.resumed(battery, book, before);
        PastRound past = fold.resolve(round);
        fold.fold(new BatteryEvent.RoundTaken(round));
        Verdict verdict = fold.at(round.takenAt(), Surroundings.NOTHING).verdict();
        List<PastRound> folded = fold.rounds();
        PastRound held = folded.isEmpty() ? past : folded.get(folded.size() - 1);
        storing.store(write(battery, round, verdict, coverage, personId), held);
        states.keep(folds.stored(battery, fold, book));
        shifts.changed();
    }

    /** One that was taken before other things on record: everything that followed follows anew. */
    private void takeLate(
            Battery battery, Round round, Coverage coverage, long personId, Storing storing, Rulebook book) {
        BatteryFold then = folds.upTo(battery, book, round.takenAt());
        PastRound past = then.resolve(round);
        then.fold(new BatteryEvent.RoundTaken(round));
        Verdict verdict = then.at(round.takenAt(), Surroundings.NOTHING).verdict();
        storing.store(write(battery, round, verdict, coverage, personId), past);
        refold(battery, book);
    }

    /** Folds anew from everything on record; what is held of each round is brought up to it. */
    void refold(Battery battery, Rulebook book) {
        BatteryFold fold = folds.all(battery, book);
        rounds.keepDoubts(battery.id(), fold.rounds());
        states.keep(folds.stored(battery, fold, book));
        shifts.changed();
    }

    /**
     * Puts many old rounds of a battery on record at once. They are kept as they were read; the battery's state is folded
     * once. Needs a transaction.
     *
     * @param rounds none of them on record yet, in the order of time
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeIn(Battery battery, List<Round> rounds, long personId) {
        ledger.lock(battery.id());
        List<Long> entries = ledger.append(
                battery.id(),
                rounds.stream().map(round -> taken(battery, round, personId)).toList());
        List<Rounds.Taken> taken = new ArrayList<>();
        for (int i = 0; i < rounds.size(); i++) {
            Round round = rounds.get(i);
            taken.add(new Rounds.Taken(entries.get(i), coverage(battery, round), new PastRound(round, List.of())));
        }
        this.rounds.recordAll(battery.id(), personId, taken);
        refold(battery, batteryStates.rulebook());
    }

    private static NewEntry taken(Battery battery, Round round, long personId) {
        return line(round, personId).with(new LedgerPayload.RoundTaken(coverage(battery, round), true));
    }

    private static Coverage coverage(Battery battery, Round round) {
        int cells = battery.type().model().cells();
        if (round.readings().size() >= cells) {
            return Coverage.WHOLE;
        }
        return round.readings().size() == 1 ? Coverage.PILOT : Coverage.PARTIAL;
    }

    private long write(Battery battery, Round round, Verdict verdict, Coverage coverage, long personId) {
        NewEntry line = line(round, personId)
                .with(
                        new LedgerPayload.RoundTaken(coverage, null),
                        new LedgerPayload.Judged(VerdictText.write(verdict)));
        return ledger.append(battery.id(), List.of(line)).get(0);
    }

    /** With the readings, so that readings changed behind its back show. */
    private static NewEntry line(Round round, long personId) {
        LedgerPayload read = new LedgerPayload.RoundRead(round.state(), round.temperature(), round.readings());
        return NewEntry.of(EntryKind.ROUND, round.takenAt(), personId, BigDecimal.valueOf(round.cellsRead()), "")
                .with(read);
    }
}
