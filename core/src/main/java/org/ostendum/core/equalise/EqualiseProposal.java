package org.ostendum.core.equalise;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * Whether a battery is to be equalised after its next charge. Practice {@code equalise.when}: by spread, by not getting
 * full, or by the calendar, whichever comes first; sealed cells never, for what gasses out of them is gone.
 */
public record EqualiseProposal(Reason reason, Message sentence) {
    public enum Reason {
        SPREAD,
        NOT_FULL,
        CALENDAR
    }

    /**
     * @param findings of the newest round
     * @param last end of the last equalising charge; null for never
     * @param since the battery has been here; what goes before it is not asked for
     */
    public static Optional<EqualiseProposal> of(
            CellKind kind, List<Finding> findings, @Nullable Instant last, Instant since, Instant now, Rules rules) {
        if (kind != CellKind.FLOODED) {
            return Optional.empty();
        }
        for (Finding finding : findings) {
            if (finding.next() == NextStep.EQUALISE) {
                Reason reason = finding.code() == FindingCode.BATTERY_UNEVEN ? Reason.SPREAD : Reason.NOT_FULL;
                return Optional.of(new EqualiseProposal(reason, finding.sentence()));
            }
        }
        Instant from = last == null || last.isBefore(since) ? since : last;
        long days = Duration.between(from, now).toDays();
        long interval = rules.duration(RuleKey.EQUALISE_INTERVAL).toDays();
        return days < interval
                ? Optional.empty()
                : Optional.of(new EqualiseProposal(
                        Reason.CALENDAR, Message.of("equalise.calendar", (int) days, (int) interval)));
    }
}
