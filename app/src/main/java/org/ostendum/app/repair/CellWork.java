package org.ostendum.app.repair;

import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.springframework.stereotype.Component;

/** Work at one cell of a tray: the cell is measured again before anything is drilled, and lit on the drawing. */
@Component
class CellWork implements SpecialJob {
    private static final String CELL = "cell";
    private static final String AGAIN = "gravity-again";

    private final CellRecord record;

    CellWork(CellRecord record) {
        this.record = record;
    }

    @Override
    public boolean isOf(String procedure) {
        return Set.of("cell-repair", "cell-jumper").contains(procedure);
    }

    /** The blocks of a pack are renewed whole. */
    @Override
    public boolean suits(@Nullable Battery battery) {
        return battery == null || !battery.type().model().layout().isPack();
    }

    @Override
    public Optional<String> against(Run run, Step step, String value, Battery battery, Words words) {
        if (step.id().equals(CELL)) {
            return record.noSuchCell(battery, Double.parseDouble(value), words);
        }
        return step.id().equals(AGAIN)
                ? record.disagrees(battery, cell(run), (int) Double.parseDouble(value), words)
                : Optional.empty();
    }

    private static int cell(Run run) {
        return (int) Double.parseDouble(run.value(CELL));
    }

    @Override
    public Optional<Beside> beside(Run run, Battery battery) {
        return run.value(CELL).isEmpty()
                ? Optional.empty()
                : Optional.of(new Beside("repair/lit :: cell", LitCell.of(battery, cell(run))));
    }
}
