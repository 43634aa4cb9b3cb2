package org.ostendum.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A plan was right when it was made; what has been found of its batteries since is told beside it. */
class PlanAgainstStatesTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private People people;

    @Autowired
    private PlanAgainstStates states;

    private final Instant now = TestClock.now();
    private AsPerson tom;

    @BeforeEach
    void signIn() {
        tom = AsPerson.tom(mvc);
    }

    private PlanJob job(Task what, Battery battery, int fromHours, int hours) {
        Instant start = now.plus(Duration.ofHours(fromHours));
        String id = what + battery.code();
        return new PlanJob(
                id,
                what,
                battery.code(),
                null,
                null,
                null,
                null,
                start,
                start.plus(Duration.ofHours(hours)),
                false,
                null);
    }

    private SincePlanned since(Set<String> settled, PlanJob... jobs) {
        return states.since(new Plan(List.of(jobs), List.of(), List.of(), 0, true), settled, now);
    }

    private void worn(Battery battery) throws Exception {
        tom.ask(multipart("/batteries/" + battery.code() + "/defect").param("kind", "WORN_PLUG"));
    }

    @Test
    void aPlanOfBatteriesInOrderStands() throws Exception {
        Battery battery = own.full("SINCE-1", "T-13");
        assertThat(since(Set.of(), job(Task.USE, battery, 3, 7), job(Task.CHARGE, battery, 10, 8))
                        .isNothing())
                .isTrue();
    }

    @Test
    void whatWasFoundSinceStandsAgainstWorkAndChargesButNotAgainstReading() throws Exception {
        Battery battery = own.full("SINCE-2", "T-13");
        PlanJob use = job(Task.USE, battery, 3, 7);
        PlanJob charge = job(Task.CHARGE, battery, 10, 8);
        PlanJob round = job(Task.ROUND, battery, 20, 1);
        PlanJob past = job(Task.CHARGE, battery, -9, 8);
        worn(battery);
        SincePlanned since = since(Set.of(), round, charge, use, past);
        assertThat(since.lines()).singleElement().satisfies(line -> {
            assertThat(line.battery()).isEqualTo(battery.code());
            assertThat(line.why().key()).isEqualTo("gate.SOUND_FOR_CHARGE.shut");
            assertThat(line.jobs()).containsExactly(use, charge);
        });
        assertThat(since.standsAgainst(charge)).isTrue();
        assertThat(since.standsAgainst(round)).isFalse();
        assertThat(since.isAgainstWork()).isTrue();
        assertThat(since(Set.of(use.id(), charge.id()), use, charge).isNothing())
                .as("somebody has said what became of them")
                .isTrue();
    }

    @Test
    void aChargeUnderWayStandsUntilItHasToBeEnded() throws Exception {
        Battery battery = own.rested("SINCE-3", "T-13");
        PlanJob charge = job(Task.CHARGE, battery, -2, 8);
        record.record(
                battery,
                List.of(LedgerEvents.entry(
                        new ChargeStarted(now.minus(Duration.ofHours(2)), ChargeKind.CONVENTIONAL, null),
                        people.byLogin("tom").orElseThrow().id(),
                        "")));
        assertThat(since(Set.of(), charge).isNothing()).isTrue();
        worn(battery);
        SincePlanned since = since(Set.of(), charge);
        assertThat(since.standsAgainst(charge)).isTrue();
        assertThat(since.isAgainstWork()).isFalse();
    }
}
