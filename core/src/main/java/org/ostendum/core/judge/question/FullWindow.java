package org.ostendum.core.judge.question;

import java.util.List;
import java.util.Optional;
import org.ostendum.core.battery.GravityMarks;
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
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/** Does the battery as a whole reach its full window, or, in service, want a charge? Judged by the median of its cells. */
public final class FullWindow implements Question {
    @Override
    public String name() {
        return "full-window";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForGravity();
        if (missing.isPresent()) {
            return LowBattery.of(battery).neverMixes()
                    ? Outcome.of(neverMixed(battery))
                    : new Outcome.NotJudged(missing.get());
        }
        return battery.latest().round().state().isFull() ? afterCharge(battery) : inService(battery);
    }

    /** No round can be relied on while water lies on top; that it does so for weeks is told by itself. */
    private static Finding neverMixed(Case battery) {
        LowBattery low = LowBattery.of(battery);
        return new Finding(
                FindingCode.BATTERY_UNDERCHARGED,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.undercharged.never-mixed"),
                Message.of(
                        "finding.undercharged.never-mixed.why",
                        low.returnedPercent(),
                        battery.rules().percent(RuleKey.RETURN_LEAST),
                        battery.gravities().median()),
                List.of(
                        battery.rules().use(RuleKey.GASSING_TO_MIX),
                        battery.rules().use(RuleKey.RETURN_LEAST)),
                low.evidence(),
                NextStep.CHECK_CHARGER,
                null,
                Confidence.NOT_FULL);
    }

    private static Outcome afterCharge(Case battery) {
        CorrectedGravity median = battery.gravities().median();
        GravityMarks marks = battery.model().marks();
        GravityDifference tolerance = battery.rules().points(RuleKey.FULL_TOLERANCE);
        if (median.plus(tolerance).compareTo(marks.fullFrom()) >= 0) {
            return inWindow(battery, median);
        }
        LowBattery low = LowBattery.of(battery);
        return switch (low.cause()) {
            // Told by the question of its own.
            case STRATIFIED -> new Outcome.Clear();
            case SULFATED -> Outcome.of(sulfated(battery, median));
            case GROWING -> Outcome.of(growing(battery, median));
            case UNDERCHARGED -> Outcome.of(undercharged(battery, median, "after-charge", Confidence.NOT_FULL));
            case UNLIFTED -> Outcome.of(undercharged(battery, median, "unlifted", Confidence.NOT_FULL));
            case UNKNOWN ->
                low.isToldAsLayered()
                        ? new Outcome.Clear()
                        : Outcome.of(undercharged(
                                battery,
                                median,
                                // Where enough is known to be put back, want of charge is not what is said.
                                low.isEnoughBack() ? "unsure-charged" : "unsure",
                                Confidence.NOT_FULL));
        };
    }

    /** Still full by its window, but no longer what it was. */
    private static Outcome inWindow(Case battery, CorrectedGravity median) {
        LowBattery low = LowBattery.of(battery);
        if (!low.isFalling()) {
            return new Outcome.Clear();
        }
        return switch (low.cause()) {
            case STRATIFIED, UNLIFTED, UNKNOWN -> new Outcome.Clear();
            case GROWING -> Outcome.of(growing(battery, median));
            case SULFATED -> Outcome.of(falling(battery, median, "hardening", "hardening"));
            case UNDERCHARGED ->
                Outcome.of(finding(
                        battery,
                        FindingCode.BATTERY_UNDERCHARGED,
                        "falling",
                        Message.of("finding.undercharged.falling.why", low.fallen(), median),
                        NextStep.CHECK_CHARGER,
                        Confidence.FALLING_CHARGE));
        };
    }

    private static Finding undercharged(Case battery, CorrectedGravity median, String how, double confidence) {
        GravityMarks marks = battery.model().marks();
        return finding(
                battery,
                FindingCode.BATTERY_UNDERCHARGED,
                how,
                Message.of("finding.undercharged." + how + ".why", median, marks.fullFrom(), marks.fullTo()),
                how.startsWith("unsure") ? NextStep.EQUALISE : NextStep.CHECK_CHARGER,
                confidence);
    }

    private static Finding growing(Case battery, CorrectedGravity median) {
        // That enough is put back is said only where it is on record.
        return falling(
                battery, median, "growing", LowBattery.of(battery).isEnoughBack() ? "growing" : "growing.unlogged");
    }

    /** Sulfate told by how the readings have come down. */
    private static Finding falling(Case battery, CorrectedGravity median, String how, String why) {
        return finding(
                battery,
                FindingCode.BATTERY_SULFATED,
                how,
                Message.of(
                        "finding.undercharged." + why + ".why",
                        LowBattery.of(battery).fallen(),
                        median),
                NextStep.LONG_CHARGE,
                Confidence.FALLING);
    }

    private static Finding sulfated(Case battery, CorrectedGravity median) {
        return finding(
                battery,
                FindingCode.BATTERY_SULFATED,
                "sulfated",
                Message.of(
                        "finding.undercharged.sulfated.why",
                        median,
                        battery.model().marks().fullFrom()),
                NextStep.LONG_CHARGE,
                Confidence.SULFATED);
    }

    private static Outcome inService(Case battery) {
        CorrectedGravity median = battery.gravities().median();
        CorrectedGravity mark = battery.model().marks().rechargeBelow();
        if (median.compareTo(mark) >= 0) {
            return new Outcome.Clear();
        }
        return Outcome.of(finding(
                battery,
                FindingCode.BATTERY_UNDERCHARGED,
                "in-service",
                Message.of("finding.undercharged.in-service.why", median, mark),
                NextStep.CHARGE,
                0.95));
    }

    private static Finding finding(
            Case battery, FindingCode code, String how, Message why, NextStep next, double confidence) {
        return new Finding(
                code,
                new Cells(List.of()),
                Severity.ACT,
                Message.of(
                        "finding.undercharged." + how,
                        battery.model()
                                .marks()
                                .scale()
                                .of(battery.gravities().median())
                                .percent()),
                why,
                List.of(
                        battery.rules().use(RuleKey.FULL_TOLERANCE),
                        battery.rules().use(RuleKey.RETURN_LEAST),
                        battery.rules().use(RuleKey.RISE_BY_MIXING)),
                LowBattery.of(battery).evidence(),
                next,
                null,
                confidence);
    }
}
