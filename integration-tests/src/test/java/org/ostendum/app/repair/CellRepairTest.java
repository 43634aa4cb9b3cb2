package org.ostendum.app.repair;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.past.WorkCosts;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.demo.DemoClock;
import org.springframework.beans.factory.annotation.Autowired;

/** Cell 9 of T-07 is failing in the demo; a good cell beside it is never drilled. */
class CellRepairTest extends JobsTest {
    private static final String FAILING = "T-07";

    @Autowired
    private WorkCosts costs;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryStates batteryStates;

    @Autowired
    private Rounds rounds;

    @Autowired
    private DemoClock clock;

    private long job;

    @BeforeEach
    void findTheCell() throws Exception {
        job = begin(tom, FAILING, "cell-repair", "looked", "yes");
    }

    private String gravityOf(int cell) {
        return String.valueOf(rounds.history(battery(FAILING).id(), 5).stream()
                .map(round -> round.past().round().reading(cell).orElse(null))
                .filter(reading -> reading != null && reading.gravity() != null)
                .reduce((a, b) -> b)
                .orElseThrow()
                .gravity()
                .points());
    }

    private void until(String step) throws Exception {
        Step current = run(job).current().orElseThrow();
        while (!current.id().equals(step)) {
            say(tom, job, "done", current.id(), current.rightAnswer().orElseThrow());
            assertThat(run(job).settled(current.id())).as(current.id()).isPresent();
            current = run(job).current().orElseThrow();
        }
    }

    private String done(String step, String value) throws Exception {
        return say(tom, job, "done", step, value).getContentAsString();
    }

    @Test
    void theFailingCellIsNamedLitAndMeasuredAgain() throws Exception {
        assertThat(tom.page("/jobs/" + job)).contains("On record as failing: cell 9");
        done("cell", "4");
        until("gravity-again");
        assertThat(tom.page("/jobs/" + job)).contains("The tray with cell 4 lit");
        assertThat(done("gravity-again", gravityOf(9)))
                .contains("is not what is on record: cell 4 had", "Nothing is drilled");
        assertThat(run(job).current().orElseThrow().id()).isEqualTo("gravity-again");
        done("gravity-again", gravityOf(4));
        assertThat(run(job).settled("gravity-again")).isPresent();
        say(tom, job, "stop", "wrong", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
    }

    @Test
    void gasStopsItAndTheNewCellIsOnRecordWithItsSerial() throws Exception {
        done("cell", "9");
        until("gravity-again");
        done("gravity-again", gravityOf(9));
        done("volts-again", "1.95");
        until("gas");
        done("gas", "3");
        until("permit");
        assertThat(done("permit", "")).contains("sign");
        say(maud, job, "done", "permit", "");
        assertThat(run(job).settled("permit")).isPresent();
        until("serial");
        done("serial", "LK-88213, 2 months");
        done("new-gravity", "280");
        done("new-volts", "2,12");
        until("next");
        done("next", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        assertThat(run(job).status()).isEqualTo(Run.Status.FINISHED);
        assertThat(newest(FAILING).payload()).contains("LK-88213");
        assertThat(tom.page("/batteries/" + FAILING))
                .contains("Cells renewed: cell 9. First a full charge, then an equalising, then a round.");
        assertThat(newest(FAILING).cell()).isEqualTo(9);
        Battery after = battery(FAILING);
        double price = Objects.requireNonNull(after.type().prices()).cellRepair();
        assertThat(costs.of(List.of(after.id()))).singleElement().satisfies(cost -> {
            assertThat(cost.cell()).isEqualTo(9);
            assertThat(cost.amount()).isEqualTo(price);
        });
        assertThat(tom.page("/batteries/" + FAILING + "/cells")).contains("LK-88213", "What it cost");
        assertThat(batteryStates.stateOf(after).findings())
                .noneMatch(f -> f.finding().cells().numbers().contains(9));
    }

    /** What was read of the cell that stood there before says nothing of the one that stands there now. */
    @Test
    void aCellJustReplacedIsNotComparedWithTheOldOne() throws Exception {
        say(tom, job, "stop", "wrong", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        tom.send("/batteries/T-09/log", "kind", "CELL_REPLACED", "when", "", "cell", "5", "remark", "LK-1");
        job = begin(tom, "T-09", "cell-repair", "looked", "yes");
        done("cell", "5");
        until("gravity-again");
        done("gravity-again", "1100");
        assertThat(run(job).settled("gravity-again")).isPresent();
        say(tom, job, "stop", "wrong", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
    }

    /** What was signed this morning says nothing of tonight. */
    @Test
    void aPermitRunsOut() throws Exception {
        done("cell", "9");
        until("gravity-again");
        done("gravity-again", gravityOf(9));
        done("volts-again", "1.95");
        until("gas");
        done("gas", "3");
        until("permit");
        say(maud, job, "done", "permit", "");
        assertThat(tom.page("/jobs/" + job)).contains("The permit for hot work ends");
        clock.moveTo(TestClock.now().plus(Duration.ofHours(9)));
        try {
            assertThat(done("straps", "")).contains("The permit ran out");
            assertThat(run(job).settled("straps")).isEmpty();
            say(tom, job, "back", "permit", "the shift is over");
            say(maud, job, "done", "permit", "");
            done("straps", "");
            assertThat(run(job).settled("straps")).isPresent();
            say(tom, job, "stop", "wrong", "");
            tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        } finally {
            clock.backToNow();
        }
    }

    /** A battery that came off charge half an hour ago still gasses; none of a pack's cells can be taken out. */
    @Test
    void whatStillGassesWaitsAndAPackIsNotRepaired() throws Exception {
        say(tom, job, "stop", "wrong", "");
        tom.send("/jobs/" + job + "/finish", "key", UUID.randomUUID().toString());
        Battery warm = own.full("CR-1", "T-04");
        tom.send("/batteries/CR-1/log", "kind", "CHARGE_START", "when", "");
        tom.send("/batteries/CR-1/log", "kind", "CHARGE_END", "when", "", "ending", "full");
        job = begin(tom, warm.code(), "cell-repair", "looked", "yes");
        done("cell", "9");
        until("gravity-again");
        done("gravity-again", "280");
        done("volts-again", "2.1");
        assertThat(done("off", "")).contains("still gasses");
        assertThat(tom.page("/batteries/G-01/jobs")).doesNotContain("cell-repair");
    }
}
