package org.ostendum.core.judge.question;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;

/** Does a gassing charge lift the gravities each time? Then the acid lies in layers, and samples from the top read low. */
public final class LayeredAcid implements Question {
    @Override
    public String name() {
        return "layered-acid";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForComparison();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        OptionalDouble rise = LowBattery.riseByEqualising(battery);
        if (rise.isEmpty()) {
            return new Outcome.NotJudged(Missing.ROUND_AFTER_EQUALISE);
        }
        boolean lifted = LowBattery.isLifted(battery) || LowBattery.cause(battery) == LowBattery.Cause.STRATIFIED;
        boolean now = battery.latest().round().state() == RoundState.FULL_CHARGE;
        double least = battery.rules().percent(RuleKey.RETURN_LEAST) / 100.0;
        OptionalDouble returned = LowBattery.returned(battery);
        boolean short_ = returned.isEmpty() || returned.getAsDouble() < least;
        return lifted && now && !short_ ? Outcome.of(finding(battery, rise.getAsDouble())) : new Outcome.Clear();
    }

    private static Finding finding(Case battery, double rise) {
        return new Finding(
                FindingCode.BATTERY_STRATIFIED,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.stratified"),
                Message.of("finding.stratified.why", new GravityDifference((int) Math.round(rise))),
                List.of(
                        battery.rules().use(RuleKey.RISE_BY_MIXING),
                        battery.rules().use(RuleKey.RETURN_LEAST)),
                LowBattery.evidence(battery),
                NextStep.EQUALISE,
                null,
                0.8);
    }
}
