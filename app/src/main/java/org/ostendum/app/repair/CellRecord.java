package org.ostendum.app.repair;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.words.Words;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.stereotype.Component;

/** Measured again before anything is drilled: what is read must be what is on record of that cell. Practice {@code cell.find}. */
@Component
class CellRecord {
    /** Two readings of one cell some days apart, in points. Rule of thumb. */
    private static final int SAME_WITHIN = 25;
    /** Rounds looked back to find the cell read: the last may have been of a pilot cell. */
    private static final int ROUNDS = 5;

    private final Rounds rounds;
    private final BatteryStates batteryStates;

    CellRecord(Rounds rounds, BatteryStates batteryStates) {
        this.rounds = rounds;
        this.batteryStates = batteryStates;
    }

    /** @return why there is no such cell; empty for one that there is */
    Optional<String> noSuchCell(Battery battery, double cell, Words words) {
        int cells = battery.type().model().cells();
        return cell < 1 || cell > cells || cell != Math.rint(cell)
                ? Optional.of(words.text(
                        "repair.fault.cell",
                        BigDecimal.valueOf(cell).stripTrailingZeros().toPlainString(),
                        battery.code(),
                        cells))
                : Optional.empty();
    }

    /** @return why it cannot be the cell of the record; empty where it agrees, or nothing is on record of the cell that stands there now */
    Optional<String> disagrees(Battery battery, int cell, int points, Words words) {
        List<ClosedRound> history = rounds.history(battery.id(), ROUNDS);
        Instant standsSince = batteryStates.stateOf(battery).cells().since(cell).orElse(Instant.MIN);
        for (int i = history.size() - 1; i >= 0; i--) {
            ClosedRound round = history.get(i);
            Optional<SpecificGravity> was =
                    round.past().round().reading(cell).flatMap(reading -> Optional.ofNullable(reading.gravity()));
            if (was.isPresent() && round.past().round().takenAt().isAfter(standsSince)) {
                return disagrees(cell, was.get(), round, points, words);
            }
        }
        return Optional.empty();
    }

    private static Optional<String> disagrees(
            int cell, SpecificGravity was, ClosedRound round, int points, Words words) {
        return Math.abs(points - was.points()) <= SAME_WITHIN
                ? Optional.empty()
                : Optional.of(words.text(
                        "repair.fault.other",
                        words.gravity(SpecificGravity.ofPoints(points)),
                        cell,
                        words.gravity(was),
                        words.moment(round.past().round().takenAt()),
                        SAME_WITHIN));
    }
}
