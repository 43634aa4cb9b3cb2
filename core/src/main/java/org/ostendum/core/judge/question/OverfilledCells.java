package org.ostendum.core.judge.question;

import java.util.List;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.measure.Level;
import org.ostendum.core.rulebook.Severity;

/** Do cells stand above their mark? On the next charge they overflow and lose acid. */
public final class OverfilledCells implements Question {
    @Override
    public String name() {
        return "overfilled-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        if (CellsWith.none(battery, r -> r.level() != null)) {
            return new Outcome.NotJudged(battery.model().kind().hasCaps() ? Missing.LEVELS : Missing.CAPS);
        }
        Cells over = CellsWith.where(battery, r -> r.level() == Level.OVER);
        return over.isEmpty() ? new Outcome.Clear() : Outcome.of(finding(over));
    }

    private static Finding finding(Cells over) {
        return new Finding(
                FindingCode.CELL_OVERFILLED,
                over,
                Severity.ACT,
                Message.of("finding.overfilled", over),
                Message.of("finding.overfilled.why"),
                List.of(),
                new Evidence.SeenLevel("over"),
                NextStep.DRAW_OFF,
                null,
                0.9);
    }
}
