package org.ostendum.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.quantity.AmpHours;
import org.springframework.beans.factory.annotation.Autowired;

/** A battery goes into a machine only where it fits and can work, and afterwards it is there. */
class IssueTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private Machines machines;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private BatteryStates states;

    @Autowired
    private People people;

    private Machine machine(String code, MachineKind kind, int volts) {
        return machines.byCode(code).orElseGet(() -> {
            machines.add(new Machine(0, code, code, kind, null, null, volts, "", null, null));
            return machines.byCode(code).orElseThrow();
        });
    }

    private void tell(Battery battery, BatteryEvent event) {
        long person = people.byLogin("tom").orElseThrow().id();
        record.record(battery, List.of(LedgerEvents.entry(event, person, "")));
    }

    private String refusal(String battery, Machine machine) throws Exception {
        var answer = tom.send("/batteries/" + battery + "/jobs/issue", "machine", machine.code());
        assertThat(answer.getStatus()).isEqualTo(422);
        return answer.getContentAsString();
    }

    @Test
    void whatIsNearlyEmptyIsNotIssued() throws Exception {
        Battery battery = own.full("K-61", "T-21");
        double out = 0.77 * battery.type().model().capacity().ampHours();
        tell(battery, new BatteryEvent.Worked(TestClock.now().minus(Duration.ofMinutes(20)), AmpHours.of(out)));
        assertThat(states.stateOf(battery).charge().percent().percent()).isEqualTo(23);
        assertThat(refusal("K-61", machine("X-1", MachineKind.FORKLIFT, 24))).contains("A gate is shut", "23");
    }

    @Test
    void whatWasNeverFilledIsNotIssued() throws Exception {
        Battery battery = own.full("K-62", "T-21");
        tell(battery, new BatteryEvent.Arrived(TestClock.now().minus(Duration.ofMinutes(5)), true));
        assertThat(refusal("K-62", machine("X-1", MachineKind.FORKLIFT, 24))).contains("A gate is shut");
    }

    @Test
    void theVoltageHasToBeThatOfTheMachine() throws Exception {
        own.full("K-63", "T-21");
        assertThat(refusal("K-63", machine("X-2", MachineKind.GOLF_CAR, 48))).contains("24 V", "48 V");
    }

    @Test
    void itMovesThereAndTheMachineTakesNoSecondOne() throws Exception {
        Battery battery = own.full("K-64", "T-21");
        Machine machine = machine("X-3", MachineKind.FORKLIFT, 24);
        // Six hours of rest are not the eight it wants: by a lead's word it goes all the same.
        long job = begin(
                maud, "K-64", "issue", "machine", machine.code(), "reason", "cold to the hand, felt at the posts");
        for (List<String> step :
                List.of(List.of("truck", ""), List.of("changer", "sound"), List.of("in", ""), List.of("plug", ""))) {
            say(maud, job, "done", step.get(0), step.get(1));
        }
        say(maud, job, "finish", "", "");
        assertThat(batteries.byCode("K-64").orElseThrow().machineCode()).isEqualTo("X-3");
        assertThat(states.stateOf(battery).place().machine()).isEqualTo("X-3");
        assertThat(maud.page("/batteries/K-64")).contains("X-3");
        own.full("K-65", "T-21");
        assertThat(refusal("K-65", machine)).contains("K-64");
    }
}
