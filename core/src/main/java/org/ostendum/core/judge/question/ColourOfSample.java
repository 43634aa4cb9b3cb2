package org.ostendum.core.judge.question;

import java.util.ArrayList;
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
import org.ostendum.core.measure.Colour;
import org.ostendum.core.rulebook.Severity;

/** Is the electrolyte brown, milky or full of bits? That is plate material: the cell is failing. */
public final class ColourOfSample implements Question {
    @Override
    public String name() {
        return "colour-of-sample";
    }

    @Override
    public Outcome ask(Case battery) {
        if (CellsWith.none(battery, r -> r.colour() != null)) {
            return new Outcome.NotJudged(battery.model().kind().hasCaps() ? Missing.COLOURS : Missing.CAPS);
        }
        List<Finding> findings = new ArrayList<>();
        for (Colour colour : List.of(Colour.BROWN, Colour.MILKY, Colour.PARTICLES)) {
            Cells cells = CellsWith.where(battery, r -> r.colour() == colour);
            if (!cells.isEmpty()) {
                findings.add(finding(colour, cells));
            }
        }
        return Outcome.of(findings);
    }

    private static Finding finding(Colour colour, Cells cells) {
        return new Finding(
                FindingCode.CELL_COLOUR,
                cells,
                Severity.ACT,
                Message.of("finding.colour." + colour.name(), cells),
                Message.of("finding.colour.why"),
                List.of(),
                new Evidence.SeenColour(colour),
                NextStep.TEST_CAPACITY,
                null,
                0.7);
    }
}
