package org.ostendum.app.charging;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.BatteryState;

/**
 * A battery that is to be equalised.
 *
 * @param first what is done before it; null where a charge or nothing is
 */
record EqualiseLine(Battery battery, EqualiseProposal proposal, When when, @Nullable NextThing first) {
    /** When its time is. */
    enum When {
        NOW,
        AFTER_THIS_CHARGE,
        AFTER_NEXT_CHARGE,
        /** Something has to be done to it before any current flows, or instead. */
        LATER
    }

    /** What can be begun comes first, then by what was found, then by the calendar. */
    static final Comparator<EqualiseLine> IN_TURN = Comparator.comparing((EqualiseLine line) -> line.when)
            .thenComparing(line -> line.proposal().reason());

    /** @return empty for one that need not be equalised */
    static Optional<EqualiseLine> of(Battery battery, BatteryState state) {
        return EqualiseProposal.of(state)
                .map(proposal -> of(battery, proposal, state, NextThings.of(battery.code(), state)));
    }

    private static EqualiseLine of(
            Battery battery, EqualiseProposal proposal, BatteryState state, List<NextThing> things) {
        When when = when(state, things);
        NextThing first = when == When.LATER && !things.isEmpty() ? things.get(0) : null;
        return new EqualiseLine(battery, proposal, when, first);
    }

    private static When when(BatteryState state, List<NextThing> things) {
        if (things.stream().anyMatch(thing -> thing.step() == NextStep.EQUALISE)) {
            return When.NOW;
        } else if (state.isCharging()) {
            return When.AFTER_THIS_CHARGE;
        }
        return state.full().isYes() || state.isKeptFromCharge() ? When.LATER : When.AFTER_NEXT_CHARGE;
    }
}
