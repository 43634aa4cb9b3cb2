package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.springframework.beans.factory.annotation.Autowired;

class FulfilledTest extends ApplicationTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private BatteryStates states;

    private static PlanJob job(Task what, Battery battery, Instant start) {
        return new PlanJob(
                what + "-1",
                what,
                battery.code(),
                null,
                null,
                null,
                null,
                start,
                start.plus(Duration.ofHours(4)),
                false,
                null);
    }

    /** A plan by which the battery works for four hours from then on, and is charged after it. */
    private boolean isDone(Battery battery, Instant works) {
        PlanJob charge = job(Task.CHARGE, battery, works.plus(Duration.ofHours(4)));
        Plan plan = new Plan(List.of(job(Task.USE, battery, works), charge), List.of(), List.of(), 0, true);
        return Fulfilled.is(charge, plan, states.stateOf(battery), null, TestClock.now(), TestClock.now());
    }

    @Test
    void aBatteryThatIsBackEarlyAndPluggedInIsPutOnCharge() {
        Battery battery = own.full("FUL-1", "T-21");
        Instant now = TestClock.now();
        assertThat(isDone(battery, now.minus(Duration.ofHours(2))))
                .as("not plugged in")
                .isFalse();
        record.record(
                battery, List.of(LedgerEvents.entry(new ChargeStarted(now, ChargeKind.CONVENTIONAL, null), 1, "")));
        assertThat(isDone(battery, now.minus(Duration.ofHours(2))))
                .as("back from its work")
                .isTrue();
        assertThat(isDone(battery, now.plus(Duration.ofHours(1))))
                .as("it works once more before")
                .isFalse();
    }
}
