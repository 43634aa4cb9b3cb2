package org.ostendum.core.equalise;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.fact.OnCharge;
import org.ostendum.core.state.fact.Stage;

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
     * By its findings, else by the calendar; where no equalising charge is on record, from the first charge that is: nobody knows
     * what was before it.
     */
    public static Optional<EqualiseProposal> of(BatteryState battery) {
        boolean never =
                battery.model().kind() != CellKind.FLOODED || !battery.stage().isUsable();
        if (never || isAtIt(battery)) {
            return Optional.empty();
        }
        for (StandingFinding finding : battery.findings()) {
            // Where the hydrometer is doubted it is compared first; the calendar asks nobody's hydrometer.
            if (finding.next() == NextStep.EQUALISE && battery.doubt(finding) == null) {
                Reason reason =
                        finding.finding().code() == FindingCode.BATTERY_UNEVEN ? Reason.SPREAD : Reason.NOT_FULL;
                return Optional.of(
                        new EqualiseProposal(reason, finding.finding().sentence()));
            }
        }
        // The manual of an aircraft battery decides when it is equalised, not the calendar; what is put away goes by
        // its look-ins.
        boolean byCalendar = battery.model().duty() != Duty.AIRCRAFT && battery.stage() != Stage.STORED;
        return byCalendar ? byCalendar(battery) : Optional.empty();
    }

    /** What is being done is not proposed. */
    private static boolean isAtIt(BatteryState battery) {
        OnCharge charge = battery.onCharge();
        return charge != null && charge.kind().isLowCurrent();
    }

    private static Optional<EqualiseProposal> byCalendar(BatteryState battery) {
        Instant last = battery.charging().equalised();
        Instant from = last == null ? battery.charging().cycles().since() : last;
        if (from == null) {
            return Optional.empty();
        }
        int interval = (int) battery.rules().duration(RuleKey.EQUALISE_INTERVAL).toDays();
        int days = (int) Duration.between(from, battery.asOf()).toDays();
        String sentence = last == null ? "equalise.unknown" : "equalise.calendar";
        return days < interval
                ? Optional.empty()
                : Optional.of(new EqualiseProposal(Reason.CALENDAR, Message.of(sentence, days, interval)));
    }
}
