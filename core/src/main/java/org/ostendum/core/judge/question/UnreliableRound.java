package org.ostendum.core.judge.question;

import java.util.List;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.RuleUse;
import org.ostendum.core.rulebook.Severity;

/** Was the round taken when gravity cannot be read: after water, while gassing, too cold or too hot? */
public final class UnreliableRound implements Question {
    @Override
    public String name() {
        return "unreliable-round";
    }

    @Override
    public Outcome ask(Case battery) {
        return Outcome.of(battery.latest().doubts().stream()
                .map(doubt -> finding(battery, doubt))
                .toList());
    }

    private static Finding finding(Case battery, Doubt doubt) {
        RuleUse rule = battery.rules().use(rule(doubt));
        return new Finding(
                FindingCode.READING_UNRELIABLE,
                new Cells(List.of()),
                Severity.WATCH,
                Message.of("finding.unreliable." + doubt.name()),
                Message.of("finding.unreliable." + doubt.name() + ".why", rule.value()),
                List.of(rule),
                new Evidence.Doubted(doubt),
                doubt == Doubt.AFTER_WATER ? NextStep.CHARGE : NextStep.READ_AGAIN,
                null,
                1);
    }

    private static RuleKey rule(Doubt doubt) {
        return switch (doubt) {
            case AFTER_WATER -> RuleKey.GASSING_TO_MIX;
            case GASSING -> RuleKey.GASSING_WAIT;
            case TOO_COLD -> RuleKey.TEMPERATURE_LEAST;
            case TOO_HOT -> RuleKey.TEMPERATURE_MOST;
        };
    }
}
