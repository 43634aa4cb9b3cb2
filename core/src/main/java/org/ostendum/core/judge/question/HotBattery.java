package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
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
        Celsius limit =
                battery.rules().celsius(RuleKey.chargeStop(battery.model().duty()));
        Optional<Celsius> warmest = warmest(battery);
        if (warmest.isPresent() && warmest.get().compareTo(limit) >= 0) {
            return Outcome.of(hotNow(battery, warmest.get()));
        }
        Instant now = battery.now();
        List<Celsius> peaks = battery.events().between(HottestOfCharge.class, now.minus(LOOKED_BACK), now).stream()
                .map(HottestOfCharge::celsius)
                .toList();
        if (peaks.isEmpty()) {
            return new Outcome.NotJudged(Missing.TEMPERATURES);
        }
        RuleKey rule = RuleKey.chargeStop(battery.model().duty());
        List<Celsius> over =
                peaks.stream().filter(peak -> peak.compareTo(limit) > 0).toList();
        return over.size() < TIMES ? new Outcome.Clear() : Outcome.of(finding(battery, rule, over));
    }

    private static Optional<Celsius> warmest(Case battery) {
        var round = battery.latest().round();
        return Stream.concat(
                        Stream.ofNullable(round.temperature()),
                        round.readings().stream().map(round::temperatureOf).filter(Objects::nonNull))
                .max(Comparator.naturalOrder());
    }

    /** Read at or above the limit it is stopped and cooled at once, not at its second time. */
    private static Finding hotNow(Case battery, Celsius warmest) {
        RuleKey rule = RuleKey.chargeStop(battery.model().duty());
        return new Finding(
                FindingCode.BATTERY_HOT,
                new Cells(List.of()),
                Severity.STOP,
                Message.of("finding.hot-now", warmest),
                Message.of("finding.hot-now.why", warmest, battery.rules().celsius(rule)),
                List.of(battery.rules().use(rule)),
                new Evidence.HotNow(warmest),
                NextStep.COOL,
                null,
                0.95);
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
                new Evidence.HotOnCharge(hottest, over.size()),
                NextStep.COOL,
                null,
                0.9);
    }
}
