package org.ostendum.app.state;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.history.CellPast;
import org.ostendum.core.history.CellPasts;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.Snapshot;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.fact.Sheet;
import org.springframework.stereotype.Component;

/** Folds batteries from what is on record: on from where the last fold stood, or from the beginning. */
@Component
public class BatteryFolds {
    private final Ledger ledger;
    private final Rounds rounds;
    private final Defects defects;
    private final Clock clock;
    private final ZoneId zone;

    public BatteryFolds(Ledger ledger, Rounds rounds, Defects defects, Clock clock, ZoneId zone) {
        this.ledger = ledger;
        this.rounds = rounds;
        this.defects = defects;
        this.clock = clock;
        this.zone = zone;
    }

    /** Everything on record up to a moment, from the beginning. */
    BatteryFold upTo(Battery battery, Rulebook book, Instant end) {
        List<BatteryEvent> events = events(battery);
        events.addAll(defects.events(battery.id()));
        events.removeIf(event -> event.at().isAfter(end));
        return BatteryFold.of(sheet(battery, book), zone, events);
    }

    private List<BatteryEvent> events(Battery battery) {
        List<BatteryEvent> events = new ArrayList<>(ledger.events(battery.id(), Instant.EPOCH));
        for (ClosedRound round : rounds.history(battery.id(), Integer.MAX_VALUE)) {
            events.add(new BatteryEvent.RoundTaken(round.past().round()));
        }
        return events;
    }

    /** @return every cell that the battery has had, with its own past */
    List<CellPast> cellPasts(Battery battery, Rulebook book) {
        return CellPasts.of(sheet(battery, book), events(battery));
    }

    BatteryFold all(Battery battery, Rulebook book) {
        return upTo(battery, book, Instant.MAX);
    }

    /** On from where a fold stood, with as much of the past as the judge looks at. */
    BatteryFold resumed(Battery battery, Rulebook book, Snapshot from) {
        List<PastRound> shown = rounds.history(battery.id(), BatteryFold.ROUNDS_SHOWN).stream()
                .map(ClosedRound::past)
                .toList();
        Instant first = shown.isEmpty() ? clock.instant() : shown.get(0).round().takenAt();
        List<BatteryEvent> log = new ArrayList<>(ledger.events(battery.id(), first.minus(BatteryFold.LOOKED_BACK)));
        log.sort(Comparator.comparing(BatteryEvent::at));
        return BatteryFold.resume(sheet(battery, book), zone, from, shown, log);
    }

    static Sheet sheet(Battery battery, Rulebook book) {
        return new Sheet(battery.type().model(), book.rulesFor(battery.type().id()));
    }

    /** What is to be stored of a fold. */
    StoredState stored(Battery battery, BatteryFold fold, Rulebook book) {
        List<ClosedRound> newest = rounds.history(battery.id(), 1);
        @Nullable Long round = newest.isEmpty() ? null : (Long) newest.get(0).id();
        Snapshot snapshot = fold.snapshot();
        Instant at = snapshot.upTo() == null ? clock.instant() : snapshot.upTo();
        return new StoredState(
                battery.id(), round, fold.at(at, Surroundings.NOTHING).severity(), snapshot, book.revision());
    }
}
