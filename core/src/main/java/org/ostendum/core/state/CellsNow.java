package org.ostendum.core.state;

import java.time.Instant;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.state.fact.CellFacts;
import org.ostendum.core.state.fact.Renewal;
import org.ostendum.core.state.fact.Sheet;

/** Which cells stand in a battery at one moment: those that work, those bridged, those renewed. */
public final class CellsNow {
    private final CellFacts facts;
    private final Sheet sheet;
    private final Instant now;

    CellsNow(CellFacts facts, Sheet sheet, Instant now) {
        this.facts = facts;
        this.sheet = sheet;
        this.now = now;
    }

    /** @return until when each bridged cell is to be renewed; none for a battery that has all its cells */
    public SortedMap<Integer, Instant> bridged() {
        return new TreeMap<>(facts.bridged());
    }

    /** @return whether a bridged cell should have been renewed by now */
    public boolean isBridgedTooLong() {
        return facts.bridged().values().stream().anyMatch(until -> !now.isBefore(until));
    }

    /** @return cells that current flows through: those bridged give no volts */
    public int atWork() {
        return sheet.model().cells() - facts.bridged().size();
    }

    /** @return volts by the battery’s plate, less two for each bridged cell */
    public int nominalVolts() {
        return sheet.model().nominalVolts() - 2 * facts.bridged().size();
    }

    /** @return when the cell now in a position was put in; empty for one that was there from the beginning */
    public Optional<Instant> since(int position) {
        return Optional.ofNullable(facts.since().get(position));
    }

    /** @return cells that stand in it since the newest time that one was renewed; none where all are its first */
    public Optional<Renewal> renewal() {
        return Renewal.of(facts);
    }

    /** @return when blocks last changed places; empty for never */
    public Optional<Instant> blocksMovedAt() {
        return facts.moves().stream().map(BatteryEvent.BlocksMoved::at).reduce((a, b) -> b);
    }

    /** @return an earlier round under the numbers that its cells have now, without those that are gone or bridged */
    public PastRound asTheyStand(PastRound past) {
        return facts.asTheyStand(past, sheet);
    }
}
