package org.ostendum.app.state;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What follows from comparing the hydrometer that a room is read with: either its readings are believed, or every round read with it
 * is put right by as much.
 */
@Service
public class Hydrometers {
    private final HydrometerChecks checks;
    private final RoomShifts shifts;
    private final Corrections corrections;
    private final Rounds rounds;
    private final Batteries batteries;
    private final BatteryStates states;

    Hydrometers(
            HydrometerChecks checks,
            RoomShifts shifts,
            Corrections corrections,
            Rounds rounds,
            Batteries batteries,
            BatteryStates states) {
        this.checks = checks;
        this.shifts = shifts;
        this.corrections = corrections;
        this.rounds = rounds;
        this.batteries = batteries;
        this.states = states;
    }

    /** Rounds of one battery that were read with it, oldest first. */
    public record ReadWithIt(Battery battery, List<ClosedRound> rounds) {
        private Optional<CellReading> impossible(int points) {
            return rounds.stream()
                    .flatMap(round -> round.past().round().readings().stream())
                    .filter(reading -> reading.gravity() != null
                            && !SpecificGravity.isPossible(reading.gravity().points() + points))
                    .findFirst();
        }
    }

    /** @return batteries of the room with rounds taken since then, in the order in which their ledgers are locked */
    public List<ReadWithIt> since(long room, Instant since) {
        return batteries.inRoom(room).stream()
                .sorted(Comparator.comparingLong(Battery::id))
                .map(battery -> new ReadWithIt(battery, rounds.since(battery.id(), since)))
                .filter(read -> !read.rounds().isEmpty())
                .toList();
    }

    /** @return the battery of which a cell would read what no electrolyte does, with so many points more; empty where none would */
    public Optional<Battery> impossible(List<ReadWithIt> read, int points) {
        return read.stream()
                .filter(one -> one.impossible(points).isPresent())
                .map(ReadWithIt::battery)
                .findFirst();
    }

    /** @return what has been said of the room's hydrometer so far: by it is known whether somebody else has said more meanwhile */
    public String seen(long room) {
        return String.valueOf(checks.newest(room));
    }

    /**
     * @param seen as {@link #seen} told it when it was asked
     * @return whether it was kept: not where somebody else has said meanwhile what it showed
     */
    @Transactional
    public boolean compared(long room, HydrometerComparison shown, String seen, long person) {
        if (!seen.equals(String.valueOf(checks.newestLocked(room)))) {
            return false;
        }
        checks.add(room, states.instant(), shown, person);
        if (shown.isRight()) {
            shifts.changed();
        } else {
            since(room, shown.since())
                    .forEach(read ->
                            corrections.shift(read.battery(), read.rounds(), shown.points(), shown.note(), person));
        }
        return true;
    }
}
