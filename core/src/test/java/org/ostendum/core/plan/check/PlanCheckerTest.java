package org.ostendum.core.plan.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.plan.SmallRoom.at;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.SmallRoom;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** Each hard rule, broken alone. */
class PlanCheckerTest {
    private static final Due WATER = new Due(Task.WATER, at(0, 0), at(1, 12), 10, 0);
    private static final Due EQUALISE = new Due(Task.EQUALISE, at(0, 0), at(1, 23), 5, 180);

    private final SmallRoom room =
            new SmallRoom().with(SmallRoom.battery("B3", 0, WATER)).with(SmallRoom.battery("B4", 200, EQUALISE));
    private final PlanProblem problem = room.problem();
    private final Plan plan = PlanMaker.byRuleOfThumb(problem);

    private Plan changed(Predicate<PlanJob> which, UnaryOperator<PlanJob> change) {
        List<PlanJob> jobs = new ArrayList<>();
        boolean done = false;
        for (PlanJob job : plan.jobs()) {
            boolean now = !done && which.test(job);
            done |= now;
            jobs.add(now ? change.apply(job) : job);
        }
        assertThat(done).as("a job to break").isTrue();
        return new Plan(jobs, plan.unmet(), List.of(), 0, false);
    }

    private Plan without(Predicate<PlanJob> which) {
        List<PlanJob> jobs = plan.jobs().stream().filter(which.negate()).toList();
        assertThat(jobs).hasSizeLessThan(plan.jobs().size());
        return new Plan(jobs, plan.unmet(), List.of(), 0, false);
    }

    private void breaks(Plan broken, HardRule... rules) {
        breaks(problem, broken, rules);
    }

    private static void breaks(PlanProblem problem, Plan broken, HardRule... rules) {
        assertThat(PlanChecker.check(problem, broken)).extracting(Breach::rule).contains(rules);
    }

    private static Predicate<PlanJob> a(Task what) {
        return job -> job.what() == what;
    }

    private static PlanJob moved(PlanJob job, Duration by) {
        return spanned(job, by, by);
    }

    private static PlanJob spanned(PlanJob job, Duration start, Duration end) {
        return new PlanJob(
                job.id(),
                job.what(),
                job.battery(),
                job.machine(),
                job.shift(),
                job.charger(),
                job.person(),
                job.start().plus(start),
                job.end().plus(end),
                job.pinned(),
                job.reason());
    }

    private static PlanJob on(PlanJob job, String battery, String charger, String person) {
        return new PlanJob(
                job.id(),
                job.what(),
                battery,
                job.machine(),
                job.shift(),
                charger,
                person,
                job.start(),
                job.end(),
                job.pinned(),
                job.reason());
    }

    @Test
    void whatIsMadeBreaksNothing() {
        assertThat(PlanChecker.check(problem, plan)).isEmpty();
        assertThat(plan.jobs())
                .extracting(PlanJob::what)
                .contains(Task.values()[0], Task.CHARGE, Task.COOL, Task.CHANGE, Task.WATER, Task.EQUALISE);
        assertThat(plan.unmet()).isEmpty();
    }

    @Test
    void whatTheRoomDoesNotHave() {
        breaks(changed(a(Task.USE), job -> on(job, "B9", null, null)), HardRule.KNOWN);
        breaks(changed(a(Task.CHARGE), job -> on(job, job.battery(), "K9", null)), HardRule.KNOWN);
        breaks(changed(a(Task.CHANGE), job -> on(job, job.battery(), null, "nobody")), HardRule.KNOWN);
        breaks(changed(a(Task.CHARGE), job -> moved(job, Duration.ofDays(-9))), HardRule.KNOWN);
        breaks(changed(a(Task.CHARGE), job -> spanned(job, Duration.ZERO, Duration.ofDays(-1))), HardRule.KNOWN);
    }

    @Test
    void twoThingsAtATime() {
        PlanJob charge = plan.jobs(Task.CHARGE).findFirst().orElseThrow();
        breaks(
                changed(
                        job -> job.what() == Task.CHARGE
                                && job != charge
                                && job.charger().startsWith("K")
                                && !job.battery().equals("G1"),
                        job -> spanned(
                                on(job, job.battery(), charge.charger(), null),
                                Duration.between(job.start(), charge.start()),
                                Duration.between(job.start(), charge.start()))),
                HardRule.ONE_AT_A_TIME);
    }

    @Test
    void aShiftNotCovered() {
        breaks(changed(a(Task.USE), job -> spanned(job, Duration.ofMinutes(30), Duration.ZERO)), HardRule.COVERS_SHIFT);
        breaks(without(a(Task.USE)), HardRule.COVERS_SHIFT);
    }

    @Test
    void aBatteryThatDoesNotFit() {
        breaks(
                changed(
                        job -> job.what() == Task.USE && job.battery().startsWith("B"),
                        job -> on(job, "G1", null, null)),
                HardRule.FITS,
                HardRule.IN_MACHINE);
    }

    @Test
    void oneThatIsHeldOrHoldsTooLittle() {
        var held = new PoolBattery("B1", 48, "blue", 1000, 600, 0, null, true, 0.2, 1, "", List.of());
        breaks(
                new SmallRoom()
                        .with(SmallRoom.battery("B4", 200, EQUALISE))
                        .with(SmallRoom.battery("B3", 0, WATER))
                        .with(held)
                        .problem(),
                plan,
                HardRule.NOT_HELD);
        var small = new PoolBattery("B1", 48, "blue", 1000, 350, 0, null, false, 0.2, 1, "", List.of());
        breaks(
                new SmallRoom()
                        .with(SmallRoom.battery("B4", 200, EQUALISE))
                        .with(SmallRoom.battery("B3", 0, WATER))
                        .with(small)
                        .problem(),
                plan,
                HardRule.HOLDS_ENOUGH);
        var hot = new PoolBattery("B1", 48, "blue", 1000, 600, 0, at(0, 9), false, 0.2, 1, "", List.of());
        breaks(
                new SmallRoom()
                        .with(SmallRoom.battery("B4", 200, EQUALISE))
                        .with(SmallRoom.battery("B3", 0, WATER))
                        .with(hot)
                        .problem(),
                plan,
                HardRule.FULL_AND_COOL);
    }

    @Test
    void oneThatIsNotFull() {
        breaks(without(a(Task.CHARGE)), HardRule.FULL_AND_COOL);
    }

    @Test
    void oneThatIsNotInItsMachine() {
        breaks(without(a(Task.CHANGE)), HardRule.IN_MACHINE);
    }

    @Test
    void aChargeThatIsNotRight() {
        breaks(
                changed(a(Task.CHARGE), job -> spanned(job, Duration.ZERO, Duration.ofMinutes(-5))),
                HardRule.CHARGES_RIGHT);
        breaks(changed(a(Task.CHARGE), job -> on(job, job.battery(), "KG", null)), HardRule.CHARGES_RIGHT);
        room.chargers.replaceAll(k -> new PlanCharger(
                k.code(),
                k.volts(),
                k.connector(),
                k.place(),
                k.kw(),
                k.litresPerHour(),
                List.of(new Span(at(0, 14), at(0, 15)))));
        breaks(room.problem(), plan, HardRule.CHARGES_RIGHT);
    }

    @Test
    void aChargeWithoutRest() {
        breaks(without(a(Task.COOL)), HardRule.COOLS);
        breaks(changed(a(Task.COOL), job -> spanned(job, Duration.ZERO, Duration.ofMinutes(-10))), HardRule.COOLS);
    }

    @Test
    void workByOneWhoMayNot() {
        room.people.set(
                0,
                new Worker(
                        "tom", java.util.Set.of(Task.CHANGE), room.people.get(0).shifts()));
        breaks(room.problem(), plan, HardRule.BY_ONE_WHO_MAY);
        breaks(changed(a(Task.CHANGE), job -> moved(job, Duration.ofHours(-3))), HardRule.BY_ONE_WHO_MAY);
        breaks(
                changed(a(Task.CHANGE), job -> spanned(job, Duration.ofMinutes(5), Duration.ZERO)),
                HardRule.BY_ONE_WHO_MAY);
        breaks(
                changed(a(Task.WATER), job -> spanned(job, Duration.ZERO, Duration.ofMinutes(-5))),
                HardRule.BY_ONE_WHO_MAY);
    }

    @Test
    void moreThanTheRoomBears() {
        room.room = new RoomLimits(12.0, 1000.0);
        breaks(room.problem(), plan, HardRule.KILOWATTS);
        room.room = new RoomLimits(1000.0, 110.0);
        breaks(room.problem(), plan, HardRule.HYDROGEN);
        room.room = new RoomLimits(22.0, 230.0, Map.of("hall", 90.0));
        assertThat(PlanChecker.check(room.problem(), plan)).isEmpty();
        room.chargers.replaceAll(k -> new PlanCharger(
                k.code(), k.volts(), k.connector(), k.place(), k.kw(), k.litresPerHour(), "hall", k.away()));
        breaks(room.problem(), plan, HardRule.HYDROGEN);
        room.room = new RoomLimits(22.0, 230.0);
        assertThat(PlanChecker.check(room.problem(), plan)).isEmpty();
    }

    @Test
    void careAtTheWrongTime() {
        PlanJob use = plan.jobs(Task.USE)
                .filter(job -> job.battery().equals("B1"))
                .findFirst()
                .orElseThrow();
        Duration to = Duration.between(
                plan.jobs(Task.WATER).findFirst().orElseThrow().start(),
                use.end().minusSeconds(60));
        breaks(changed(a(Task.WATER), job -> spanned(on(job, "B1", null, "tom"), to, to)), HardRule.CARE_WHEN_FULL);
        breaks(
                changed(
                        a(Task.EQUALISE),
                        job -> on(job, job.battery(), job.charger().equals("K1") ? "K2" : "K1", null)),
                HardRule.EQUALISE_AFTER_CHARGE);
    }

    @Test
    void whatIsPinnedAndMissing() {
        room.pinned.add(plan.jobs(Task.CHARGE).findFirst().orElseThrow().withPinned(true));
        breaks(room.problem(), plan, HardRule.PINNED);
        assertThat(PlanChecker.check(room.problem(), PlanMaker.byRuleOfThumb(room.problem())))
                .isEmpty();
    }
}
