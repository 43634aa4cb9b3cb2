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
import org.ostendum.core.judge.question.low.LowBattery;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

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
        LowBattery low = LowBattery.of(battery);
        if (low.isToldAsLayered()) {
            return Outcome.of(finding(battery, low));
        }
        return low.riseByEqualising().isEmpty()
                ? new Outcome.NotJudged(Missing.ROUND_AFTER_EQUALISE)
                : new Outcome.Clear();
    }

    private static Finding finding(Case battery, LowBattery low) {
        return new Finding(
                FindingCode.BATTERY_STRATIFIED,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.stratified"),
                why(low),
                List.of(
                        battery.rules().use(RuleKey.RISE_BY_MIXING),
                        battery.rules().use(RuleKey.RETURN_LEAST)),
                low.evidence(),
                NextStep.EQUALISE,
                null,
                Confidence.LAYERED);
    }

    private static Message why(LowBattery low) {
        if (low.isLifted()) {
            return Message.of(
                    low.isEnoughBack() ? "finding.stratified.why" : "finding.stratified.unlogged.why",
                    tenths(low.riseByEqualising()));
        }
        return low.step().isPresent()
                ? Message.of("finding.stratified.step.why", tenths(low.step()))
                : Message.of("finding.stratified.dropped.why");
    }

    private static GravityDifference tenths(OptionalDouble value) {
        return new GravityDifference((int) Math.round(value.orElse(0)));
    }
}
