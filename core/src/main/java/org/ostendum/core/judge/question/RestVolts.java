package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
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
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.statistics.Robust;

/** Does a cell rest far below the others? OCV = SG + 0.845, so that thirty millivolts are thirty points. Source: Vinal. */
public final class RestVolts implements Question {
    private static final int LEAST_CELLS = 3;
    /** So many times the limit of the Rulebook needs no second reading. */
    private static final double CLEARLY = 2;

    @Override
    public String name() {
        return "rest-volts";
    }

    @Override
    public Outcome ask(Case battery) {
        List<CellReading> rested = battery.latest().round().readings().stream()
                .filter(reading -> reading.volts() != null && !reading.onCharge())
                .toList();
        if (rested.size() < LEAST_CELLS) {
            return new Outcome.NotJudged(Missing.REST_VOLTAGES);
        }
        double median = Robust.median(rested.stream()
                .map(CellReading::volts)
                .filter(Objects::nonNull)
                .mapToDouble(Volts::millivolts)
                .toArray());
        double limit =
                CLEARLY * battery.rules().volts(RuleKey.REST_BELOW_MEDIAN).millivolts();
        List<Finding> findings = new ArrayList<>();
        for (CellReading reading : rested) {
            Volts volts = reading.volts();
            if (volts != null && median - volts.millivolts() >= limit) {
                findings.add(finding(battery, reading.cell(), volts, (int) Math.round(median - volts.millivolts())));
            }
        }
        return Outcome.of(findings);
    }

    private static Finding finding(Case battery, int cell, Volts volts, int below) {
        return new Finding(
                FindingCode.CELL_WEAK,
                Cells.of(cell),
                Severity.ACT,
                Message.of("finding.rest-volts", Cells.of(cell)),
                Message.of("finding.rest-volts.why", volts, below),
                List.of(battery.rules().use(RuleKey.REST_BELOW_MEDIAN)),
                new Evidence.BelowAtRest(volts, below),
                NextStep.READ_CHARGE_VOLTS,
                null,
                0.7);
    }
}
