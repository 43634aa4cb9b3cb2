package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.plan.house.HouseBatteries;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.springframework.beans.factory.annotation.Autowired;

/** What a plan says of a battery that may not work is what its own gates say. */
class HeldReasonsTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private HeldReasons reasons;

    @Autowired
    private BatteryStates states;

    private Message why(Battery battery) {
        Message held = Message.of("plan.unmet.held", battery.code());
        Plan.Unmet unmet = new Plan.Unmet("F01", "s", null, null, TestClock.now(), held);
        return reasons.told(new Plan(List.of(), List.of(unmet), List.of(), 0, true))
                .unmet()
                .get(0)
                .why();
    }

    @Test
    void theWornPlugIsNamedThatShutsTheChargeAsWell() throws Exception {
        Battery battery = own.rested("HELD-1", "T-13");
        assertThat(why(battery).key())
                .as("put right meanwhile: the plan’s own words")
                .isEqualTo("plan.unmet.held");
        tom.ask(multipart("/batteries/" + battery.code() + "/defect").param("kind", "WORN_PLUG"));
        assertThat(HouseBatteries.isHeld(states.stateOf(battery)))
                .as("full as it is, it is not issued")
                .isTrue();
        Message told = why(battery);
        assertThat(told.key()).isEqualTo("gate.SOUND_FOR_CHARGE.shut");
        assertThat(told.arguments()).startsWith(battery.code(), DefectKind.WORN_PLUG);
        assertThat(tom.page("/batteries/" + battery.code() + "/jobs/charge"))
                .contains("Under current it would get hot");
    }
}
