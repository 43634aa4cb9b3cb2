package org.ostendum.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.ostendum.core.plan.SmallRoom.at;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.Task;

class InTimeTest {
    private static final int DRAWS = 4000;
    private final SmallRoom room = new SmallRoom();
    private final List<PlanJob> jobs = new ArrayList<>();

    private PlanJob job(Task what, String battery, String machine, String charger, Instant start, Instant end) {
        PlanJob job = new PlanJob(
                what + battery + start,
                what,
                battery,
                machine,
                machine == null ? null : "mon",
                charger,
                null,
                start,
                end,
                false,
                null);
        jobs.add(job);
        return job;
    }

    private PlanJob used(String battery, String machine, int hour) {
        return job(Task.USE, battery, machine, null, at(0, hour), at(0, hour + 6));
    }

    private void charged(String battery, int from, int until) {
        job(Task.CHARGE, battery, null, "K1", at(0, from), at(0, until));
        job(Task.COOL, battery, null, null, at(0, until), at(0, until + 4));
    }

    private InTime drawn() {
        return InTime.of(room.problem(), plan(), DRAWS, 7);
    }

    private Plan plan() {
        return new Plan(jobs, List.of(), List.of(), 0, true);
    }

    @Test
    void aBatteryReadyJustInTimeIsLateOnceInTwenty() {
        charged("B1", 0, 6);
        PlanJob use = used("B1", "F1", 10);
        assertThat(drawn().byUse()).containsOnlyKeys(use.id());
        assertThat(drawn().byUse().get(use.id())).isCloseTo(0.95, within(0.015));
    }

    @Test
    void anHourMoreMakesItSure() {
        charged("B1", 0, 6);
        PlanJob use = used("B1", "F1", 13);
        assertThat(drawn().byUse().get(use.id())).isEqualTo(1);
        assertThat(drawn().all()).isEqualTo(1);
    }

    /** The price of lateness is the very chance that is drawn, where no charge waits for another. */
    @Test
    void thePriceSaysWhatIsDrawn() {
        charged("B1", 0, 6);
        PlanJob use = used("B1", "F1", 10);
        double late = PlanCosts.of(room.problem(), plan()).stream()
                .filter(cost -> cost.term() == Term.LATE)
                .findFirst()
                .orElseThrow()
                .amount();
        assertThat(1 - drawn().byUse().get(use.id())).isCloseTo(late, within(0.015));
        assertThat(late).isCloseTo(0.05, within(0.0001));
    }

    /** The second waits for the first on the same charger: what makes the one late makes the other late. */
    @Test
    void aLateChargeKeepsItsChargerFromTheNext() {
        charged("B1", 0, 6);
        charged("B2", 6, 7);
        PlanJob next = used("B2", "F2", 11);
        double behind = drawn().byUse().get(next.id());
        jobs.removeIf(job -> job.battery().equals("B1"));
        assertThat(behind).isLessThan(drawn().byUse().get(next.id()));
    }

    /** Putting it in takes somebody a quarter of an hour: it has to be ready before. */
    @Test
    void itHasToBeReadyWhenItIsPutIn() {
        charged("B1", 0, 6);
        job(Task.CHANGE, "B1", "F1", null, at(0, 10), at(0, 10).plusSeconds(900));
        PlanJob use = job(Task.USE, "B1", "F1", null, at(0, 10).plusSeconds(900), at(0, 16));
        assertThat(drawn().byUse().get(use.id())).isCloseTo(0.95, within(0.015));
    }

    @Test
    void chargesThatNeverVaryAreNeverLate() {
        room.charging.replaceAll(pair -> new Pairing(pair.battery(), pair.charger(), 1, 120, 0));
        charged("B1", 0, 6);
        PlanJob use = used("B1", "F1", 10);
        assertThat(drawn().byUse().get(use.id())).isEqualTo(1);
    }
}
