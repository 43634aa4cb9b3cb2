package org.ostendum.core.next;

import java.time.Instant;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.WaterDue;
import org.ostendum.core.state.fact.Stage;

/** What falls due by the calendar: tap, kit, round, water, test and wash. */
final class CareThings {
    private final ThingsFound found;
    private final BatteryState battery;

    CareThings(ThingsFound found) {
        this.found = found;
        this.battery = found.battery();
    }

    void find() {
        tap();
        kit();
        care();
    }

    /** Blocks under a tap do the pack's work and the tap's besides: once a year others take their turn. Practice {@code pack.taps}. */
    private void tap() {
        found.due(battery.sameBlocksTappedSince(), RuleKey.TAP_TURN, NextStep.MOVE_TAP, "next.tap.due", battery.asOf());
    }

    /** The injectors are looked over each year. */
    private void kit() {
        if (battery.kit().isOn()) {
            found.due(battery.kit().looked(), RuleKey.KIT_LOOK, NextStep.LOOK_AT_KIT, "next.kit.due", battery.asOf());
        }
    }

    private void care() {
        Instant now = battery.asOf();
        if (battery.stage() == Stage.STORED) {
            // What is put away goes by its look-ins and its latest charge, not by the calendar of work.
            return;
        }
        equaliseDue();
        if (battery.model().kind().hasCaps()) {
            if (found.steps().stream().noneMatch(CareThings::endsInReadings)) {
                roundDue(now);
            }
            waterDue(now);
        }
        testDue(now);
        found.due(battery.care().washed(), RuleKey.WASH_INTERVAL, NextStep.WASH, "next.wash.due", now);
    }

    /** By the calendar, straight after a full charge; what is found in its cells has spoken for itself, and goes first. */
    private void equaliseDue() {
        boolean goesFirst =
                found.steps().contains(NextStep.REPAIR_CELL) || found.steps().contains(NextStep.LONG_CHARGE);
        if (!battery.full().isYes() || goesFirst) {
            return;
        }
        EqualiseProposal.of(battery)
                .filter(proposal -> proposal.reason() == EqualiseProposal.Reason.CALENDAR)
                .ifPresent(proposal -> found.add(NextStep.EQUALISE, Severity.WATCH, proposal.sentence()));
    }

    private static boolean endsInReadings(NextStep step) {
        return step.isReading() || step == NextStep.EQUALISE;
    }

    private void roundDue(Instant now) {
        RuleKey rule = RuleKey.roundInterval(battery.model().duty());
        if (battery.roundAt() == null) {
            found.add(NextStep.TAKE_ROUND, Severity.WATCH, Message.of("next.round.never"));
        } else {
            found.due(battery.roundAt(), rule, NextStep.TAKE_ROUND, "next.round.due", now);
        }
    }

    /** Low cells have spoken for themselves already. */
    private void waterDue(Instant now) {
        WaterDue water = battery.waterDue();
        if (water == null || water.from() == null || !water.isDue(now)) {
            return;
        }
        String reason = water.basis() == WaterDue.Basis.RECORD ? "next.water.reckoned" : "next.water.due";
        found.due(water.from(), water.lasts(), NextStep.WATER, reason, now);
    }

    /** Yearly where lives or standby hang on it; elsewhere on suspicion. Practice {@code test.capacity}. */
    private void testDue(Instant now) {
        RuleKey rule = RuleKey.testInterval(battery.model().duty()).orElse(null);
        if (rule == null) {
            return;
        }
        Instant last = battery.tests().at();
        if (last == null) {
            found.add(NextStep.TEST_CAPACITY, Severity.WATCH, Message.of("next.test.never"));
        } else {
            found.due(last, rule, NextStep.TEST_CAPACITY, "next.test.due", now);
        }
    }
}
