package org.ostendum.app.job;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.quantity.SpecificGravity;
import org.springframework.stereotype.Component;

/** Measured again before anything is drilled: what is read must be what is on record of that cell. Practice {@code cell.find}. */
@Component
class CellAgain {
    static final String STEP = "gravity-again";
    private static final String CELL = "cell";
    /** Two readings of one cell some days apart, in points. Rule of thumb. */
    private static final int SAME_WITHIN = 25;
    /** Rounds looked back to find the cell read: the last may have been of a pilot cell. */
    private static final int ROUNDS = 5;

    private final Rounds rounds;

    CellAgain(Rounds rounds) {
        this.rounds = rounds;
    }

    /** @return why it cannot be the cell of the record; empty where it agrees, or nothing is on record of it */
    Optional<String> fault(Run run, Battery battery, String read, Words words) {
        int cell = (int) Double.parseDouble(run.value(CELL));
        if (cell > battery.type().model().cells()) {
            return Optional.of(words.text(
                    "repair.fault.cell",
                    cell,
                    battery.code(),
                    battery.type().model().cells()));
        }
        List<ClosedRound> history = rounds.history(battery.id(), ROUNDS);
        for (int i = history.size() - 1; i >= 0; i--) {
            @Nullable
            CellReading was = history.get(i).past().round().reading(cell).orElse(null);
            if (was != null && was.gravity() != null) {
                return fault(cell, was.gravity(), history.get(i), Integer.parseInt(read), words);
            }
        }
        return Optional.empty();
    }

    private static Optional<String> fault(int cell, SpecificGravity was, ClosedRound round, int points, Words words) {
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
