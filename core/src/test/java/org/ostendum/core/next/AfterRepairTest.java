package org.ostendum.core.next;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.Ending;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.state.Told;

/** A new cell among old ones: the string is charged, equalised and read, in that order. */
class AfterRepairTest {
    private static final int[] EVEN = {1285, 1284, 1286, 1285, 1284, 1285};

    private static List<NextStep> steps(Told told) {
        return NextThings.of("T-1", told.state()).stream().map(NextThing::step).toList();
    }

    private static Told repaired(double hoursAgo) {
        return Told.inOrder().and(new CellReplaced(Told.hoursAgo(hoursAgo), 4, "N-1"));
    }

    @Test
    void itIsChargedThenEqualisedThenRead() {
        Told told = repaired(18);
        assertThat(told.state().full().isYes()).as("before it was").isFalse();
        assertThat(steps(told)).containsExactly(NextStep.CHARGE);
        told.charged(9, 168);
        assertThat(steps(told)).containsExactly(NextStep.EQUALISE);
        told.equalised(4);
        assertThat(steps(told)).containsExactly(NextStep.TAKE_ROUND);
        told.read(1, RoundState.AFTER_EQUALISE, EVEN);
        assertThat(steps(told)).isEmpty();
    }

    /** Stopped in heat, or broken off, it was no full charge; and one in a break, after the equalising, asks for none again. */
    @Test
    void aChargeThatWasStoppedIsNotTheFullOne() {
        Told told = repaired(18).chargeBegun(12).ended(11, Ending.STOPPED, 2.0);
        assertThat(steps(told)).containsExactly(NextStep.CHARGE);
        told.charged(9, 168).equalised(4).worked(3, 20).chargeBegun(2.5).ended(2, Ending.ENDED_EARLY, 10.0);
        assertThat(steps(told)).containsExactly(NextStep.TAKE_ROUND);
    }

    @Test
    void afterTwoMonthsTheCalendarHasIt() {
        assertThat(steps(repaired(24 * 61))).doesNotContain(NextStep.CHARGE, NextStep.EQUALISE);
    }
}
