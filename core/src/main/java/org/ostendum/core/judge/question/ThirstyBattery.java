package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
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
import org.ostendum.core.judge.Severity;
import org.ostendum.core.measure.BatteryEvent;
import org.ostendum.core.measure.EventType;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.water.WaterUse;

/** Does it drink more than the overcharge of a right charge would split? Then it is overcharged or hot. */
public final class ThirstyBattery implements Question {
    private static final Duration LOOKED_BACK = Duration.ofDays(75);
    private static final int LEAST_WATERINGS = 4;

    @Override
    public String name() {
        return "thirsty-battery";
    }

    @Override
    public Outcome ask(Case battery) {
        Instant now = battery.now();
        List<BatteryEvent> water = battery.events().between(EventType.WATER, now.minus(LOOKED_BACK), now).stream()
                .filter(e -> e.quantity() > 0)
                .toList();
        if (water.size() < LEAST_WATERINGS) {
            return new Outcome.NotJudged(Missing.WATER_ON_RECORD);
        }
        Instant first = water.get(0).at();
        Instant last = water.get(water.size() - 1).at();
        double out = battery.events().sum(EventType.DISCHARGE, first, last);
        if (out <= 0) {
            return new Outcome.NotJudged(Missing.AMP_HOURS);
        }
        // What the first watering replaced was used before it.
        double poured = battery.events().sum(EventType.WATER, first, last);
        double expected = expected(battery, out);
        int percent = (int) Math.round(100 * poured / expected);
        int limit = battery.rules().percent(RuleKey.THIRST);
        return percent >= limit
                ? Outcome.of(finding(battery, (int) Math.round(poured), (int) Math.round(expected), percent))
                : new Outcome.Clear();
    }

    /** @return ml that the overcharge of a right charge splits */
    private static double expected(Case battery, double ampHoursOut) {
        double overcharge = battery.rules().percent(RuleKey.RETURN_USUAL) / 100.0 - 1;
        return 1000
                * WaterUse.of(battery.model().cells(), AmpHours.of(ampHoursOut * overcharge))
                        .litres();
    }

    private static Finding finding(Case battery, int poured, int expected, int percent) {
        return new Finding(
                FindingCode.BATTERY_THIRSTY,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.thirsty", percent),
                Message.of(
                        "finding.thirsty.why", poured, expected, battery.rules().percent(RuleKey.THIRST)),
                List.of(battery.rules().use(RuleKey.THIRST), battery.rules().use(RuleKey.RETURN_USUAL)),
                List.of(new Evidence("pouredMillilitres", poured), new Evidence("expectedMillilitres", expected)),
                NextStep.CHECK_CHARGER,
                null,
                0.85);
    }
}
