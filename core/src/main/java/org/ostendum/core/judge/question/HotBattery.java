package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
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
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;

/** Was it above its temperature limit more than once of late? Once may be a hot day; again is the charger or the battery. */
public final class HotBattery implements Question {
    private static final Duration LOOKED_BACK = Duration.ofDays(30);
    private static final int TIMES = 2;

    @Override
    public String name() {
        return "hot-battery";
    }

    @Override
    public Outcome ask(Case battery) {
        Instant now = battery.now();
        List<Celsius> peaks = battery.events().between(HottestOfCharge.class, now.minus(LOOKED_BACK), now).stream()
                .map(HottestOfCharge::celsius)
                .toList();
        if (peaks.isEmpty()) {
            return new Outcome.NotJudged(Missing.TEMPERATURES);
        }
        RuleKey rule = RuleKey.chargeStop(battery.model().duty());
        Celsius limit = battery.rules().celsius(rule);
        List<Celsius> over =
                peaks.stream().filter(peak -> peak.compareTo(limit) > 0).toList();
        return over.size() < TIMES ? new Outcome.Clear() : Outcome.of(finding(battery, rule, over));
    }

    private static Finding finding(Case battery, RuleKey rule, List<Celsius> over) {
        Celsius hottest = Collections.max(over);
        return new Finding(
                FindingCode.BATTERY_HOT,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.hot", hottest),
                Message.of("finding.hot.why", over.size(), battery.rules().celsius(rule)),
                List.of(battery.rules().use(rule)),
                List.of(new Evidence("hottest", hottest), new Evidence("times", over.size())),
                NextStep.COOL,
                null,
                0.9);
    }
}
