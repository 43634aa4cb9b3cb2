package org.ostendum.app.complaint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.ostendum.app.complaint.Complaints.Said;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.Look.Outcome;
import org.ostendum.core.complaint.WorkUp;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.state.fact.OpenDefect;
import org.springframework.beans.factory.annotation.Autowired;

/** A driver's complaint from his words to its cause, and what the other pages say of it meanwhile and afterwards. */
class ComplaintTest extends JobsTest {
    @Autowired
    private Complaints complaints;

    @Autowired
    private OwnWeights weights;

    @Autowired
    private WorkUps workUps;

    @Autowired
    private BatteryStates states;

    private Battery battery() {
        return batteries.all().stream()
                .filter(b -> complaints.openOf(b.id()).isEmpty()
                        && states.stateOf(b).defects().isEmpty()
                        && states.stateOf(b).findings().isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private Said said(Battery battery, String kind) throws Exception {
        tom.send("/batteries/" + battery.code() + "/complaint", "kind", kind, "said", "Crawls up the ramp.");
        return complaints.openOf(battery.id()).orElseThrow();
    }

    /** Look by look as the page asks, each showing what a loose post makes likeliest, until it says so. */
    @Test
    void aLooseConnectionIsFoundBecomesADefectAndShutsTheCharge() throws Exception {
        Battery battery = battery();
        Said said = said(battery, "SLOW_ENGINE_START");
        String address = "/complaints/" + said.id();
        assertThat(tom.page(address)).contains("Crawls up the ramp.", "What may stand behind it");
        assertThat(tom.page("/batteries/" + battery.code())).contains("A driver complains: Slow engine start");
        assertThat(tom.page("/jobs")).contains(address);
        assertThat(NextThings.of(battery.code(), states.stateOf(battery)))
                .extracting(NextThing::step)
                .contains(NextStep.WORK_UP);
        WorkUp workUp = workUps.workUp(said);
        while (!workUp.isDone()) {
            Look next = workUp.next().orElseThrow();
            Outcome shown =
                    next == Look.CONNECTIONS ? Outcome.LOOSE : next == Look.WARMTH ? Outcome.POST_HOT : usual(next);
            tom.send(address + "/look", "look", next.name(), "shown", shown.name());
            workUp = workUps.workUp(said);
            assertThat(workUp.answers()).containsEntry(next, shown);
        }
        assertThat(tom.page(address)).contains("As good as certain", "Loose, corroded or worn connection");
        tom.send(address + "/end", "cause", workUp.causes().get(0).cause().name());
        assertThat(complaints.openOf(battery.id())).isEmpty();
        List<OpenDefect> defects = states.stateOf(battery).defects();
        assertThat(states.stateOf(battery).complainedOf()).isNull();
        assertThat(defects).extracting(OpenDefect::kind).containsExactly(DefectKind.LOOSE_POST);
        assertThat(tom.page("/batteries/" + battery.code()))
                .contains("Complaint “Slow engine start” worked up")
                .doesNotContain("A driver complains: Slow engine start, since");
        assertThat(tom.page("/jobs")).contains("worked up: Loose, corroded or worn connection");
    }

    private static Outcome usual(Look look) {
        return look.outcomes().get(look.outcomes().size() - 1);
    }

    /** What the state says already nobody is sent to look at. */
    @Test
    void whatIsOnRecordIsNotLookedAtAgain() throws Exception {
        Battery dirty = batteries.all().stream()
                .filter(b -> complaints.openOf(b.id()).isEmpty()
                        && states.stateOf(b).defects().stream().anyMatch(d -> d.kind() == DefectKind.DIRTY_TOP))
                .findFirst()
                .orElseThrow();
        Said said = said(dirty, "SLOW");
        assertThat(workUps.workUp(said).answers()).containsEntry(Look.TOP, Outcome.DIRTY);
        assertThat(tom.page("/complaints/" + said.id())).contains("on record");
        tom.send("/complaints/" + said.id() + "/end", "cause", "MACHINE");
    }

    @Test
    void whatWasSeenWronglyIsTakenBackAndNonsenseIsToldWithoutLosingAnything() throws Exception {
        Battery battery = battery();
        Said said = said(battery, "SLOW");
        String address = "/complaints/" + said.id();
        tom.send(address + "/look", "look", "TOP", "shown", "DIRTY");
        tom.send(address + "/look", "look", "TOP", "shown", "BARE");
        tom.send(address + "/look", "look", "LEVELS");
        assertThat(workUps.workUp(said).answers()).containsOnlyKeys(Look.TOP);
        tom.send(address + "/back", "look", "TOP");
        assertThat(workUps.workUp(said).answers()).isEmpty();
        // A second one about the same battery goes on with the first.
        assertThat(said(battery, "SMELLS").id()).isEqualTo(said.id());
        tom.send(address + "/end", "cause", "MACHINE");
        assertThat(states.stateOf(battery).defects()).isEmpty();
        assertThat(tom.page(address)).contains("The machine, not the battery");
        tom.send(address + "/look", "look", "TOP", "shown", "DIRTY");
        assertThat(workUps.workUp(said).answers()).isEmpty();
    }

    /** What was typed stands there again, whatever is wrong with it. */
    @Test
    void whatIsTooLongOrNotChosenIsToldAndKept() throws Exception {
        String address = "/batteries/" + battery().code() + "/complaint";
        var nothing = tom.send(address, "said", "Crawls up the ramp.");
        assertThat(nothing.getStatus()).isEqualTo(422);
        assertThat(nothing.getContentAsString()).contains("value=\"Crawls up the ramp.\"", "Choose");
        var tooLong = tom.send(address, "kind", "SLOW", "said", "x".repeat(301));
        assertThat(tooLong.getStatus()).isEqualTo(422);
        assertThat(tooLong.getContentAsString()).contains("x".repeat(301), "300");
    }

    /** Whoever has no hands on batteries sees it and changes nothing. */
    @Test
    void aSiteCountsForItselfWithItsReason() throws Exception {
        assertThat(maud.page("/complaints/causes?of=SMELLS")).contains("Shipped", "version 2");
        assertThat(tom.send("/complaints/causes", "of", "SMELLS", "cause", "MACHINE", "percent", "20", "reason", "x")
                        .getStatus())
                .isEqualTo(403);
        var wrong = maud.send("/complaints/causes", "of", "SMELLS", "cause", "MACHINE", "percent", "200", "reason", "");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("200", "Say why");
        maud.send(
                "/complaints/causes",
                "of",
                "SMELLS",
                "cause",
                "MACHINE",
                "percent",
                "40",
                "reason",
                "Two brakes in three months.");
        assertThat(weights.table().priors(Complaint.SMELLS).get(Cause.MACHINE)).isCloseTo(0.4, within(1e-9));
        assertThat(maud.page("/complaints/causes?of=SMELLS")).contains("Two brakes in three months.");
    }

    /** What its looks show a site says too; percents that make no hundred are told and stay. */
    @Test
    void aSiteSaysWhatItsLooksShow() throws Exception {
        String address = "/complaints/looks";
        var wrong =
                maud.send(address, "of", "TOP", "cause", "HARD_WORK", "DIRTY", "50", "CLEAN", "20", "reason", "Dust.");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("make 70 %", "value=\"Dust.\"");
        assertThat(tom.send(address, "of", "TOP", "cause", "HARD_WORK", "DIRTY", "60", "CLEAN", "40", "reason", "x")
                        .getStatus())
                .isEqualTo(403);
        maud.send(
                address, "of", "TOP", "cause", "HARD_WORK", "DIRTY", "60", "CLEAN", "40", "reason", "Dust of the lot.");
        assertThat(weights.table().chance(Look.TOP, Cause.HARD_WORK, Outcome.DIRTY))
                .isCloseTo(0.6, within(1e-9));
        assertThat(maud.page(address + "?of=TOP")).contains("60 %", "shipped 20 %", "Dust of the lot.");
    }

    /** Two people say it at once: one complaint stands, and both land on it. */
    @Test
    void twoThatComplainInTheSameInstantMakeOne() throws Exception {
        Battery battery = battery();
        String address = "/batteries/" + battery.code() + "/complaint";
        ExecutorService both = Executors.newFixedThreadPool(2);
        try {
            List<Future<String>> landed = both.invokeAll(List.of(
                    () -> tom.send(address, "kind", "SLOW", "said", "a").getRedirectedUrl(),
                    () -> maud.send(address, "kind", "SLOW", "said", "b").getRedirectedUrl()));
            assertThat(landed.get(0).get()).isEqualTo(landed.get(1).get());
        } finally {
            both.shutdown();
        }
        assertThat(complaints.open())
                .filteredOn(said -> said.batteryId() == battery.id())
                .hasSize(1);
        maud.send("/complaints/" + complaints.openOf(battery.id()).orElseThrow().id() + "/end", "cause", "MACHINE");
    }
}
