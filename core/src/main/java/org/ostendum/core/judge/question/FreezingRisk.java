package org.ostendum.core.judge.question;

import java.util.List;
import java.util.Optional;
import org.ostendum.core.electrolyte.FreezingPoint;
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
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Severity;

/** Is it so weak and so cold that it freezes, or is about to? Sources: Vinal, Storage Batteries; practice {@code store.freeze}. */
public final class FreezingRisk implements Question {
    /** The table is no closer than 2 °C, and the coldest cell is not the one that was read. */
    private static final double NEAR = 5;

    @Override
    public String name() {
        return "freezing";
    }

    @Override
    public Outcome ask(Case battery) {
        Celsius temperature = battery.latest().round().temperature();
        if (battery.gravities().isEmpty()) {
            return new Outcome.NotJudged(battery.model().kind().hasCaps() ? Missing.GRAVITIES : Missing.CAPS);
        } else if (temperature == null) {
            return new Outcome.NotJudged(Missing.TEMPERATURES);
        }
        CorrectedGravity lowest = battery.gravities().lowest();
        Optional<Celsius> freezes = FreezingPoint.of(lowest);
        return freezes.filter(point -> temperature.degrees() <= point.degrees() + NEAR)
                .map(point -> Outcome.of(finding(temperature, lowest, point)))
                .orElseGet(Outcome.Clear::new);
    }

    private static Finding finding(Celsius temperature, CorrectedGravity lowest, Celsius point) {
        boolean frozen = temperature.compareTo(point) <= 0;
        String how = frozen ? "finding.frozen" : "finding.freezing";
        return new Finding(
                FindingCode.BATTERY_FREEZING,
                new Cells(List.of()),
                frozen ? Severity.STOP : Severity.ACT,
                Message.of(how, temperature),
                Message.of(how + ".why", lowest, point),
                List.of(),
                new Evidence.NearFreezing(lowest, point),
                frozen ? NextStep.NONE : NextStep.CHARGE,
                null,
                0.9);
    }
}
