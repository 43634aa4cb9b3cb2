package org.ostendum.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.plan.SmallRoom.at;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.check.Breach;
import org.ostendum.core.plan.check.HardRule;
import org.ostendum.core.plan.check.PlanChecker;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** Tests that empty a battery on the bench, times in which people are left alone, and rooms with more than one air. */
class BenchAndQuietTest {
    private static final Set<Task> EVERYTHING = Set.of(Task.CHANGE, Task.WATER, Task.ROUND, Task.WASH, Task.TEST);
    private static final Due TEST = new Due(Task.TEST, at(0, 0), at(1, 20), 30, 480);

    private final SmallRoom room = new SmallRoom();

    private void tom(List<Span> quiet) {
        room.people.set(0, new Worker("tom", EVERYTHING, room.people.get(0).shifts(), quiet));
    }

    private Plan plan() {
        return PlanMaker.byRuleOfThumb(room.problem());
    }

    private static List<PlanJob> of(Plan plan, String battery) {
        return plan.jobs().stream().filter(job -> job.battery().equals(battery)).toList();
    }

    @Test
    void aTestIsBegunByAPersonGoesOnOnTheBenchAndIsFollowedByAChargeAndRest() {
        tom(List.of());
        room.machines.clear();
        room.with(SmallRoom.battery("B4", 0, TEST));
        List<PlanJob> jobs = of(plan(), "B4");
        assertThat(jobs).extracting(PlanJob::what).containsExactly(Task.TEST, Task.TEST, Task.CHARGE, Task.COOL);
        assertThat(jobs.get(0).person()).isEqualTo("tom");
        assertThat(jobs.get(0).span().length()).isEqualTo(Duration.ofMinutes(30));
        assertThat(jobs.get(1).isOnBench()).isTrue();
        assertThat(jobs.get(1).span().length()).isEqualTo(Duration.ofMinutes(450));
        // 600 Ah at a minute each, and two hours of finishing.
        assertThat(jobs.get(2).span().length()).isEqualTo(Duration.ofMinutes(720));
    }

    @Test
    void thereIsOneBench() {
        tom(List.of());
        room.machines.clear();
        room.with(SmallRoom.battery("B3", 0, TEST)).with(SmallRoom.battery("B4", 0, TEST));
        Plan plan = plan();
        List<PlanJob> onBench = plan.jobs().stream().filter(PlanJob::isOnBench).toList();
        assertThat(onBench).hasSize(2);
        assertThat(onBench.get(0).span().touches(onBench.get(1).span())).isFalse();
        assertThat(breaches(
                        plan,
                        job -> job.isOnBench() ? shifted(job, onBench.get(0).start()) : job))
                .contains(HardRule.ONE_AT_A_TIME);
    }

    private static PlanJob shifted(PlanJob job, Instant start) {
        return new PlanJob(
                job.id(),
                job.what(),
                job.battery(),
                null,
                null,
                null,
                job.person(),
                start,
                start.plus(job.span().length()),
                false,
                null);
    }

    private List<HardRule> breaches(Plan plan, UnaryOperator<PlanJob> change) {
        List<PlanJob> jobs = new ArrayList<>(plan.jobs());
        jobs.replaceAll(change);
        return PlanChecker.check(room.problem(), new Plan(jobs, plan.unmet(), List.of(), 0, false)).stream()
                .map(Breach::rule)
                .toList();
    }

    @Test
    void whatIsOnTheBenchWithoutABeginningOrUsedWithoutAChargeBreaksThePlan() {
        tom(List.of());
        room.machines.clear();
        room.with(SmallRoom.battery("B4", 0, TEST));
        Plan plan = plan();
        assertThat(breaches(plan, job -> job.isOnBench() ? job.lasting(Duration.ofMinutes(60)) : job))
                .contains(HardRule.BY_ONE_WHO_MAY);
        assertThat(breaches(plan, job -> job.what() == Task.CHARGE ? job.lasting(Duration.ofMinutes(120)) : job))
                .contains(HardRule.CHARGES_RIGHT);
    }

    /** A test of a battery that works every day finds no room, and is told so rather than begun. */
    @Test
    void whereThereIsNoRoomForATestTheShiftGoesFirst() {
        tom(List.of());
        room.with(SmallRoom.battery("B1", 0, TEST));
        room.batteries.removeIf(battery -> Set.of("B2", "B3", "B4").contains(battery.code()));
        room.charging.removeIf(pair -> Set.of("B2", "B3", "B4").contains(pair.battery()));
        room.machines.removeIf(machine -> machine.code().equals("F2"));
        Plan plan = plan();
        assertThat(plan.jobs(Task.TEST)).isEmpty();
        assertThat(plan.jobs(Task.USE).map(PlanJob::battery)).contains("B1");
        assertThat(plan.unmet()).extracting(Plan.Unmet::due).contains(Task.TEST);
    }

    @Test
    void aPinnedTestIsOnTheBenchAndChargedAsWell() {
        tom(List.of());
        room.machines.clear();
        room.with(SmallRoom.battery("B4", 0, TEST));
        room.pinned.add(new PlanJob(
                "t", Task.TEST, "B4", null, null, null, "tom", at(0, 9), at(0, 9).plusSeconds(1800), true, null));
        assertThat(of(plan(), "B4"))
                .extracting(PlanJob::what)
                .containsExactly(Task.TEST, Task.TEST, Task.CHARGE, Task.COOL);
    }

    /** B1 and B2 are in F1 and F2: only the second day needs changes, which could be made at any time. */
    @Test
    void quietTimesAreKeptWhereItCanBeHelped() {
        room.with(SmallRoom.battery("B3", 0, new Due(Task.WATER, at(0, 0), at(1, 0), 10, 0)));
        tom(List.of());
        PlanJob water = plan().jobs(Task.WATER).findFirst().orElseThrow();
        Span quiet = new Span(water.start(), water.start().plus(Duration.ofHours(1)));
        tom(List.of(quiet));
        Plan later = plan();
        assertThat(later.jobs(Task.WATER).findFirst().orElseThrow().span().touches(quiet))
                .isFalse();
        assertThat(later.amount(Term.QUIET)).isZero();

        tom(List.of(new Span(at(0, 0), at(2, 0))));
        Plan anyway = plan();
        assertThat(anyway.jobs(Task.WATER)).hasSize(1);
        assertThat(anyway.amount(Term.QUIET)).isPositive();
    }

    /** Each hall's air bears one finishing charger; two in one hall follow each other, two in different halls do not wait. */
    @Test
    void eachAirBearsItsOwnChargersAlone() {
        room.machines.clear();
        room.with(SmallRoom.battery("B1", 300)).with(SmallRoom.battery("B2", 300));
        room.room = new RoomLimits(null, null, Map.of("north", 110.0, "south", 110.0));
        assertThat(starts("north", "north")).hasSize(2);
        assertThat(starts("north", "south")).containsOnly(at(0, 0));
    }

    private Set<Instant> starts(String first, String second) {
        room.chargers.replaceAll(k -> new PlanCharger(
                k.code(),
                k.volts(),
                k.connector(),
                k.place(),
                k.kw(),
                k.litresPerHour(),
                k.code().equals("K1") ? first : second,
                k.away()));
        Plan plan = plan();
        assertThat(plan.valid()).isTrue();
        return plan.jobs(Task.CHARGE).map(PlanJob::start).collect(Collectors.toSet());
    }
}
