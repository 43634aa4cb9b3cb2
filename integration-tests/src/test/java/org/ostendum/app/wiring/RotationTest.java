package org.ostendum.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.wiring.Tap;
import org.springframework.beans.factory.annotation.Autowired;

/** What hangs on two blocks wears them: once a year others take their turn. */
class RotationTest extends JobsTest {
    @Autowired
    private OwnBatteries own;

    @Autowired
    private Packs packs;

    @Autowired
    private BatteryStates batteryStates;

    private Battery car;

    @BeforeEach
    void tapped() {
        car = own.full("RB-" + UUID.randomUUID().toString().substring(0, 6), "G-01");
        packs.addTap(car.id(), new Tap("Lights", 1, 2), TestClock.now().minus(Duration.ofDays(380)));
    }

    @Test
    void afterAYearThePageProposesOtherBlocksAndTheTapIsMoved() throws Exception {
        assertThat(tom.page("/batteries/" + car.code() + "/pack"))
                .contains("Their turn is over", "Hang it on blocks 5 to 6", "Let blocks change places");
        tom.send("/batteries/" + car.code() + "/pack/tap-moved", "name", "Lights");
        assertThat(packs.of(car).orElseThrow().taps()).containsExactly(new Tap("Lights", 5, 6));
        assertThat(tom.page("/batteries/" + car.code() + "/pack")).doesNotContain("Their turn is over");
        assertThat(newest(car.code()).payload()).contains("moved from blocks 1 to 2 to blocks 5 to 6");
    }

    @Test
    void theBlocksChangePlacesPairByPairAndTheRecordGoesWithThem() throws Exception {
        long job = begin(tom, car.code(), "rotate-blocks", "looked", "yes");
        until(tom, job, "marks");
        say(tom, job, "done", "marks", "marked");
        until(tom, job, "swap-1-6-of-6");
        assertThat(tom.page("/jobs/" + job)).contains("Block 1 goes to place 6");
        until(tom, job, "volts");
        for (int block = 1; block <= 6; block++) {
            row(job, block, block == 5 ? "-8.45" : "8.45");
        }
        assertThat(say(tom, job, "done", "volts", "").getContentAsString()).contains("it is turned round");
        row(job, 5, "8.45");
        row(job, 0, "50.7");
        say(tom, job, "done", "volts", "");
        until(tom, job, "torque");
        say(tom, job, "done", "torque", "11");
        say(tom, job, "done", "function", "runs");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(run(job).status()).isEqualTo(Run.Status.FINISHED);

        assertThat(newest(car.code()).payload()).contains("\"from\":[6,5,3,4,2,1]");
        assertThat(batteryStates.stateOf(car).cells().blocksMovedAt()).isPresent();
        assertThat(tom.page("/batteries/" + car.code())).contains("block 6 is in place 1 now");
        assertThat(tom.page("/batteries/" + car.code() + "/pack")).doesNotContain("Their turn is over");
    }

    private void row(long job, int block, String volts) throws Exception {
        tom.send(
                "/jobs/" + job + "/row",
                "key",
                UUID.randomUUID().toString(),
                "about",
                "volts",
                "block",
                String.valueOf(block),
                "volts",
                volts);
    }
}
