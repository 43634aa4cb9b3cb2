package org.ostendum.app.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.ostendum.app.plan.house.HouseProblem;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.plan.room.PlanMachine;
import org.springframework.beans.factory.annotation.Autowired;

/** What the plan makes of a change that somebody is at. */
class PlannedAtTheTruckTest extends AtTheTruck {
    @Autowired
    private HouseProblem house;

    @Autowired
    private BatteryStates states;

    private String inTheTruck() {
        return house.from(states.instant(), Duration.ofHours(24), 1, null).machines().stream()
                .filter(machine -> machine.code().equals(truck.code()))
                .map(PlanMachine::battery)
                .findFirst()
                .orElseThrow();
    }

    /** The battery that is being fetched is sent to no other truck. */
    @Test
    void aBatteryThatIsBeingFetchedCountsAsInItsMachine() throws Exception {
        assertThat(inTheTruck()).isEqualTo(old.code());
        begin(fresh);
        assertThat(states.stateOf(now(fresh)).promisedTo()).isEqualTo(truck.code());
        assertThat(inTheTruck()).isEqualTo(fresh.code());
    }
}
