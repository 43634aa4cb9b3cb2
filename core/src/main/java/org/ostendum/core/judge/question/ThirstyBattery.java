package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
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
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.water.WaterUse;

/** Does it drink more than the overcharge of a right charge would split? Then it is overcharged or hot. */
public final class ThirstyBattery implements Question {
    private static final Duration LOOKED_BACK = Duration.ofDays(75);
    private static final int LEAST_WATERINGS = 4;
    /** Shifts shallower than this part of capacity say little of what a charge splits. */
    private static final double LEAST_SHIFT = 0.25;
    /** More than this at the beginning is a fault from the beginning. */
    private static final double MOST_USUAL = 1.4;

    @Override
    public String name() {
        return "thirsty-battery";
    }

    @Override
    public Outcome ask(Case battery) {
        Instant now = battery.now();
        if (meanShift(battery, now) < LEAST_SHIFT * battery.model().capacity().ampHours()) {
            return new Outcome.NotJudged(Missing.AMP_HOURS);
        }
        Optional<Thirst> lately = thirst(battery, now.minus(LOOKED_BACK), now);
        if (lately.isEmpty()) {
            return new Outcome.NotJudged(Missing.WATER_ON_RECORD);
        }
        Instant begun = battery.events().begun();
        double usual = begun != null && begun.plus(LOOKED_BACK).isBefore(now.minus(LOOKED_BACK))
                ? thirst(battery, begun.minusSeconds(1), begun.plus(LOOKED_BACK))
                        .map(Thirst::times)
                        .orElse(1.0)
                : 1;
        // A battery that always drank a little more is no news; one that begins to is.
        int percent = (int) Math.round(100 * lately.get().times() / Math.max(1, Math.min(MOST_USUAL, usual)));
        int told = (int) Math.round(100 * lately.get().times());
        return percent >= battery.rules().percent(RuleKey.THIRST)
                ? Outcome.of(finding(battery, lately.get(), told))
                : new Outcome.Clear();
    }

    private static double meanShift(Case battery, Instant now) {
        return battery.events().between(Worked.class, now.minus(LOOKED_BACK), now).stream()
                .mapToDouble(shift -> shift.taken() == null ? 0 : shift.taken().ampHours())
                .average()
                .orElse(0);
    }

    /** Millilitres poured, and those a right charge would have split. */
    private record Thirst(double poured, double expected) {
        double times() {
            return poured / expected;
        }
    }

    private static Optional<Thirst> thirst(Case battery, Instant from, Instant to) {
        List<Watered> water = battery.events().between(Watered.class, from, to).stream()
                .filter(w -> w.millilitres() > 0)
                .toList();
        if (water.size() < LEAST_WATERINGS) {
            return Optional.empty();
        }
        // What the first watering replaced was used before it.
        Instant first = water.get(0).at();
        Instant last = water.get(water.size() - 1).at();
        double out = battery.events().taken(first, last);
        double hours = battery.events().equalised(first, last);
        return out <= 0
                ? Optional.empty()
                : Optional.of(new Thirst(battery.events().poured(first, last), expected(battery, out, hours)));
    }

    /** @return ml that the overcharge of right charges and of equalising hours splits */
    private static double expected(Case battery, double ampHoursOut, double equaliseHours) {
        double equalising =
                equaliseHours * ChargeSums.finish(battery.model().capacity()).amperes();
        double overcharge = battery.rules().percent(RuleKey.RETURN_USUAL) / 100.0 - 1;
        return 1000
                * WaterUse.of(battery.model().cells(), AmpHours.of(ampHoursOut * overcharge + equalising))
                        .litres();
    }

    private static Finding finding(Case battery, Thirst thirst, int percent) {
        int poured = (int) Math.round(thirst.poured());
        int expected = (int) Math.round(thirst.expected());
        return new Finding(
                FindingCode.BATTERY_THIRSTY,
                new Cells(List.of()),
                Severity.ACT,
                Message.of("finding.thirsty", percent),
                Message.of(
                        "finding.thirsty.why", poured, expected, battery.rules().percent(RuleKey.THIRST)),
                List.of(battery.rules().use(RuleKey.THIRST), battery.rules().use(RuleKey.RETURN_USUAL)),
                new Evidence.Poured(poured, expected),
                NextStep.CHECK_CHARGER,
                null,
                Confidence.THIRSTY);
    }
}
