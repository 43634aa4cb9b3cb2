package org.ostendum.core.next;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Renewal;

/** When it has to be charged, and what a repair has to be followed by. */
final class ChargeThings {
    /** What nobody has done so long after a cell was renewed is not asked for any more: the calendar has it. */
    private static final Duration NEW_FOR = Duration.ofDays(60);

    private final ThingsFound found;
    private final BatteryState battery;

    ChargeThings(ThingsFound found) {
        this.found = found;
        this.battery = found.battery();
    }

    void find() {
        charge();
        renewed();
    }

    private void charge() {
        Instant flat = battery.charging().stoodFlat();
        if (flat != null) {
            found.add(NextStep.CHARGE, Severity.ACT, Message.of("next.charge.stood-flat", flat));
        }
        if (battery.tests().isRechargeDue()) {
            found.add(NextStep.CHARGE, Severity.ACT, Message.of("next.charge.tested"));
        }
        stoodTooLong();
        ChargeRange range = battery.charge();
        double soon = battery.rules().percent(RuleKey.CHARGE_SOON) / 100.0;
        if (battery.full().isNo() && range.isKnown() && range.likely() <= soon) {
            found.add(
                    NextStep.CHARGE,
                    Severity.ACT,
                    Message.of("next.charge.low", range.percent().percent()));
        }
    }

    /** An aircraft's battery loses what it has faster than any other: so many days without a charge are the most. */
    private void stoodTooLong() {
        Instant ended = battery.charging().chargeEnded();
        if (battery.model().duty() == Duty.AIRCRAFT && ended != null && !battery.isCharging()) {
            Instant due = ended.plus(battery.rules().duration(RuleKey.STORE_CHARGE_AIRCRAFT));
            if (due.isBefore(battery.asOf())) {
                found.add(NextStep.CHARGE, Severity.WATCH, Message.of("next.charge.stood", ended));
            }
        }
    }

    /** After a repair the string is charged in full, equalised, and read, in that order. Practice {@code cell.after}. */
    private void renewed() {
        Renewal renewal = battery.cells().renewal().orElse(null);
        if (renewal == null || Duration.between(renewal.at(), battery.asOf()).compareTo(NEW_FOR) > 0) {
            return;
        }
        Cells cells = new Cells(renewal.cells());
        boolean equalised = isSince(renewal, battery.charging().equalised());
        if (!equalised && !isChargedSince(renewal)) {
            found.add(NextStep.CHARGE, Severity.ACT, Message.of("next.renewed.CHARGE", cells));
        } else if (!equalised && mayBeEqualised()) {
            found.add(NextStep.EQUALISE, Severity.ACT, Message.of("next.renewed.EQUALISE", cells));
        } else if (!isSince(renewal, battery.roundAt())
                && battery.model().kind().hasCaps()) {
            found.add(NextStep.TAKE_ROUND, Severity.ACT, Message.of("next.renewed.TAKE_ROUND", cells));
        }
    }

    /** What was stopped or broken off was no full charge. */
    private boolean isChargedSince(Renewal renewal) {
        return isSince(renewal, battery.charging().chargeEnded())
                && !battery.charging().ending().isBeforeFull();
    }

    private static boolean isSince(Renewal renewal, @Nullable Instant done) {
        return done != null && done.isAfter(renewal.at());
    }

    /** An aircraft's battery has a procedure of its own; a sealed one is never equalised. */
    private boolean mayBeEqualised() {
        return battery.model().kind().hasCaps() && battery.model().duty() != Duty.AIRCRAFT;
    }
}
