package org.ostendum.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.ostendum.core.plan.SmallRoom.at;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.check.Breach;
import org.ostendum.core.plan.check.HardRule;
import org.ostendum.core.plan.make.BrokenPlan;
import org.ostendum.core.plan.make.Decisions;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

class PlanMakerTest {
    private final SmallRoom room = new SmallRoom();

    private Plan plan() {
        return PlanMaker.byRuleOfThumb(room.problem());
    }

    private static PlanJob job(Plan plan, Task what, String battery) {
        return plan.jobs(what)
                .filter(j -> j.battery().equals(battery))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theRuleOfThumbPlugsInAtOnceAndTheLongestRestedWorks() {
        Plan plan = plan();
        PlanJob charge = job(plan, Task.CHARGE, "B1");
        assertThat(charge.start()).isEqualTo(at(0, 14));
        assertThat(charge.span().length()).isEqualTo(Duration.ofMinutes(120 + 300));
        assertThat(job(plan, Task.COOL, "B1").start()).isEqualTo(charge.end());
        assertThat(plan.jobs(Task.USE).filter(j -> "tue".equals(j.shift())))
                .extracting(PlanJob::battery)
                .as("B1 and B2 have worked on Monday")
                .containsExactlyInAnyOrder("B3", "B4");
        assertThat(plan.shiftsUnmet()).isZero();
        assertThat(plan.valid()).isTrue();
    }

    @Test
    void whatIsDecidedIsDone() {
        Instant night = at(0, 22);
        Decisions decided = new Decisions(
                Map.of(Decisions.shift("F1", "tue"), "B4"),
                Map.of(Decisions.shift("F1", "mon"), new Decisions.Charge("K2", night)),
                Map.of(),
                Set.of());
        Plan plan = PlanMaker.make(room.problem(), decided);
        assertThat(plan.jobs(Task.USE).filter(j -> "F1".equals(j.machine()) && "tue".equals(j.shift())))
                .extracting(PlanJob::battery)
                .containsExactly("B4");
        String first = plan.jobs(Task.USE)
                .filter(j -> "F1".equals(j.machine()))
                .findFirst()
                .orElseThrow()
                .battery();
        assertThat(job(plan, Task.CHARGE, first)).satisfies(charge -> {
            assertThat(charge.start()).isEqualTo(night);
            assertThat(charge.charger()).isEqualTo("K2");
        });
    }

    @Test
    void aChargeWaitsNoLongerThanHalfADay() {
        Decisions decided = new Decisions(
                Map.of(),
                Map.of(Decisions.shift("C1", "mon"), new Decisions.Charge("KG", at(9, 0))),
                Map.of(),
                Set.of());
        assertThat(job(PlanMaker.make(room.problem(), decided), Task.CHARGE, "G1")
                        .start())
                .isEqualTo(at(1, 0));
    }

    @Test
    void powerForOneChargerPutsThemOneAfterTheOther() {
        room.room = new RoomLimits(10.0, null);
        Plan plan = plan();
        assertThat(new PlanLoads(new PlanLookup(room.problem()), plan.jobs())
                        .kilowatts()
                        .values())
                .contains(10.0)
                .allMatch(kilowatts -> kilowatts <= 10);
        assertThat(plan.valid()).isTrue();
    }

    @Test
    void aFixedBatteryChargesInPlaceWithoutRestOrChange() {
        Plan plan = plan();
        assertThat(plan.jobs().stream().filter(j -> j.battery().equals("G1")))
                .extracting(PlanJob::what)
                .containsExactly(Task.USE, Task.CHARGE);
    }

    @Test
    void whatCannotBeIsToldWithWhatIsMissing() {
        room.with(new PlanMachine(
                "F1", 48, "blue", 800, 1200, "B1", false, List.of(new Shift("big", at(0, 6), at(0, 14), 500))));
        room.with(new PlanMachine(
                "F2", 80, "red", 800, 1200, null, false, List.of(new Shift("red", at(0, 6), at(0, 14), 100))));
        assertThat(plan().unmet())
                .extracting(un -> un.why().key())
                .containsExactlyInAnyOrder("plan.unmet.too-small", "plan.unmet.none-fits");
    }

    /** One battery helps one truck: each that goes without is told of another, as far as there are others. */
    @Test
    void whoGoesWithoutIsToldOfABatteryThatNoTruckBeforeWaitsFor() {
        for (int i = 1; i <= 4; i++) {
            room.with(SmallRoom.battery("B" + i, 300));
        }
        for (int i = 3; i <= 5; i++) {
            room.machines.add(SmallRoom.truck("F" + i, null, 6, 14));
        }
        List<Message> why = plan().unmet().stream()
                .filter(un -> "mon".equals(un.shift()) && un.machine().startsWith("F"))
                .map(Plan.Unmet::why)
                .toList();
        assertThat(why).hasSize(5);
        assertThat(why.subList(0, 4)).extracting(Message::key).containsOnly("plan.unmet.late");
        assertThat(why.subList(0, 4))
                .extracting(message -> message.arguments().get(0))
                .doesNotHaveDuplicates();
        assertThat(why.get(4).key()).isEqualTo("plan.unmet.late-after");
        assertThat(why.get(4).arguments().get(2)).isEqualTo("F1");
    }

    @Test
    void whatDoesNotSitInItsBayStaysOutOfATruck() {
        PlanMachine truck = SmallRoom.truck("F1", null, 6, 14);
        room.with(refusing(truck, Set.of("B1", "B2", "B3")));
        assertThat(plan().jobs(Task.USE))
                .filteredOn(use -> "F1".equals(use.machine()))
                .isNotEmpty()
                .allSatisfy(use -> assertThat(use.battery()).isEqualTo("B4"));
        room.with(refusing(truck, Set.of("B1", "B2", "B3", "B4")));
        assertThat(plan().unmet())
                .filteredOn(un -> "F1".equals(un.machine()))
                .extracting(un -> un.why().key())
                .containsOnly("plan.unmet.none-fits");
    }

    @Test
    void aShiftThatIsToGoWithoutLeavesWhatIsReadyToOthers() {
        Decisions decided = new Decisions(Map.of(), Map.of(), Map.of(), Set.of(Decisions.shift("F1", "mon")));
        assertThat(PlanMaker.make(room.problem(), decided).unmet())
                .singleElement()
                .satisfies(un -> {
                    assertThat(un.machine()).isEqualTo("F1");
                    assertThat(un.shift()).isEqualTo("mon");
                    assertThat(un.why().key()).isEqualTo("plan.unmet.spared");
                });
    }

    /** Worked today, B4 would not be charged and cool again for the shift that was decided for it tomorrow. */
    @Test
    void whatWasDecidedForALaterShiftIsKeptForIt() {
        List.of("F1", "F2").forEach(code -> room.with(SmallRoom.truck(code, null, 6, 16)));
        List.of("B1", "B2", "B3").forEach(code -> room.with(SmallRoom.battery(code, 590)));
        Decisions decided = new Decisions(Map.of(Decisions.shift("F2", "tue"), "B4"), Map.of(), Map.of(), Set.of());
        Plan plan = PlanMaker.make(room.problem(), decided);
        assertThat(plan.jobs(Task.USE).filter(use -> "B4".equals(use.battery())))
                .extracting(PlanJob::shift)
                .containsExactly("tue");
        assertThat(plan.unmet())
                .filteredOn(un -> "mon".equals(un.shift()))
                .extracting(Plan.Unmet::why)
                .contains(Message.of("plan.unmet.kept", "B4", "F2", at(1, 6)));
    }

    /** It is full, but somebody washes it while the shift goes on. */
    @Test
    void whatIsTiedUpInTheShiftIsToldLikeWhatNobodyPutsIn() {
        List.of("F1", "F2").forEach(code -> room.with(SmallRoom.truck(code, null, 6, 14)));
        List.of("B1", "B2", "B3").forEach(code -> room.with(SmallRoom.battery(code, 590)));
        room.with(SmallRoom.battery("B4", 0, new Due(Task.WASH, at(0, 0), at(1, 0), 60, 0)));
        room.pinned.add(new PlanJob("wash", Task.WASH, "B4", null, null, null, "tom", at(0, 8), at(0, 9), true, null));
        assertThat(plan().unmet())
                .filteredOn(un -> "mon".equals(un.shift())
                        && un.machine() != null
                        && un.machine().startsWith("F"))
                .extracting(Plan.Unmet::why)
                .contains(Message.of("plan.unmet.nobody", "B4"));
    }

    /** B1 is still flat; B4 goes in its place, and B1 will be ready when B4 would have been wanted. */
    @Test
    void aBatteryThatComesTooLateChangesRolesWithAnother() {
        List.of("F1", "F2").forEach(code -> room.with(SmallRoom.truck(code, null, 6, 16)));
        List.of("B1", "B2", "B3").forEach(code -> room.with(SmallRoom.battery(code, 590)));
        Decisions decided = new Decisions(
                Map.of(Decisions.shift("F1", "mon"), "B1", Decisions.shift("F2", "tue"), "B4"),
                Map.of(),
                Map.of(),
                Set.of());
        assertThat(PlanMaker.make(room.problem(), decided)
                        .jobs(Task.USE)
                        .filter(use -> "F1".equals(use.machine()) && "mon".equals(use.shift())))
                .extracting(PlanJob::battery)
                .containsExactly("B4");
    }

    /** One person, two changes before six: B3 has been ready for days, B4 is so at twenty to six. */
    @Test
    void whoseBatteryIsReadyLastHasTheLastMomentForItsChange() {
        room.with(SmallRoom.truck("F1", null, 6, 14));
        room.with(SmallRoom.truck("F2", null, 6, 14));
        PoolBattery late = SmallRoom.battery("B4", 0);
        room.with(new PoolBattery(
                "B4",
                late.volts(),
                late.connector(),
                late.weightKg(),
                late.capacityAh(),
                0,
                at(0, 6).minus(Duration.ofMinutes(20)),
                false,
                late.leastSoc(),
                late.cycles(),
                late.place(),
                List.of()));
        Decisions decided = new Decisions(
                Map.of(Decisions.shift("F1", "mon"), "B3", Decisions.shift("F2", "mon"), "B4"),
                Map.of(),
                Map.of(),
                Set.of());
        Plan plan = PlanMaker.make(room.problem(), decided);
        assertThat(plan.unmet()).filteredOn(un -> "mon".equals(un.shift())).isEmpty();
        assertThat(job(plan, Task.CHANGE, "B4").end()).isEqualTo(at(0, 6));
    }

    private static PlanMachine refusing(PlanMachine like, Set<String> refused) {
        return new PlanMachine(
                like.code(),
                like.volts(),
                like.connector(),
                like.weightFromKg(),
                like.weightToKg(),
                like.battery(),
                like.fixed(),
                refused,
                like.shifts());
    }

    @Test
    void withNobodyThereNothingIsChanged() {
        room.people.clear();
        room.with(SmallRoom.truck("F1", null, 6, 14));
        assertThat(plan().unmet()).anySatisfy(un -> {
            assertThat(un.machine()).isEqualTo("F1");
            assertThat(un.why().key()).isEqualTo("plan.unmet.nobody");
        });
    }

    @Test
    void equalisingFollowsItsChargeAndWaterComesWhileItIsFull() {
        room.with(SmallRoom.battery(
                "B1",
                0,
                new Due(Task.EQUALISE, at(0, 12), at(1, 20), 5, 180),
                new Due(Task.WATER, at(0, 20), at(1, 22), 12, 0)));
        Plan plan = plan();
        PlanJob even = job(plan, Task.EQUALISE, "B1");
        assertThat(plan.jobs(Task.CHARGE))
                .anyMatch(c -> c.battery().equals("B1") && c.end().equals(even.start()));
        assertThat(job(plan, Task.COOL, "B1").start()).isEqualTo(even.end());
        assertThat(job(plan, Task.WATER, "B1").start()).isAfterOrEqualTo(even.end());
        assertThat(plan.amount(Term.OVERDUE)).isZero();
    }

    /** Nothing lies between the charge of a golf car and its work: it equalises on another day. */
    @Test
    void nothingEqualisesBehindAChargeThatEndsAsTheWorkBegins() {
        room.with(new PlanMachine(
                "C1", 48, "grey", 0, 0, "G1", true, List.of(new Shift("mon", at(0, 4), at(0, 12), 60))));
        Due even = new Due(Task.EQUALISE, at(0, 0), at(1, 20), 5, 60);
        room.with(new PoolBattery("G1", 48, "grey", 300, 150, 90, null, false, 0.2, 40, "bay", List.of(even)));
        Plan plan = plan();
        assertThat(job(plan, Task.USE, "G1").start()).isEqualTo(at(0, 4));
        assertThat(job(plan, Task.EQUALISE, "G1").start()).isAfter(at(0, 12));
    }

    @Test
    void careThatNobodyMayDoIsLeftAndTold() {
        room.people.set(
                0, new Worker("tom", Set.of(Task.CHANGE), room.people.get(0).shifts()));
        room.with(SmallRoom.battery("B1", 0, new Due(Task.ROUND, at(0, 0), at(1, 0), 12, 0)));
        Plan plan = plan();
        assertThat(plan.unmet()).extracting(Plan.Unmet::due).containsExactly(Task.ROUND);
        assertThat(plan.amount(Term.OVERDUE)).isEqualTo(1);
    }

    /** A truck that is out, and a charge that runs, are facts the plan goes on from. */
    @Test
    void whatHasBegunGoesOn() {
        room.machines.removeIf(m -> m.code().equals("F1"));
        room.machines.add(new PlanMachine(
                "F1",
                48,
                "blue",
                800,
                1200,
                "B1",
                false,
                List.of(new Shift("now", at(0, -4), at(0, 4), 280), new Shift("tue", at(1, 6), at(1, 14), 300))));
        room.with(SmallRoom.battery("B4", 240));
        room.pinned.add(new PlanJob("u", Task.USE, "B1", "F1", "now", null, null, at(0, -4), at(0, 4), true, null));
        room.pinned.add(new PlanJob("c", Task.CHARGE, "B4", null, null, "K1", null, at(0, -2), at(0, 4), true, null));
        Plan plan = plan();
        assertThat(plan.jobs(Task.CHARGE)
                        .filter(j -> j.battery().equals("B4"))
                        .findFirst()
                        .orElseThrow()
                        .end())
                .isEqualTo(at(0, 4));
        assertThat(plan.jobs(Task.COOL)
                        .filter(j -> j.battery().equals("B4"))
                        .findFirst()
                        .orElseThrow()
                        .start())
                .isEqualTo(at(0, 4));
        assertThat(job(plan, Task.CHARGE, "B1").start()).isEqualTo(at(0, 4));
        assertThat(job(plan, Task.CHARGE, "B1").span().length()).isEqualTo(Duration.ofMinutes(120 + 280));
    }

    @Test
    void whatIsPinnedAndCannotBeIsToldByItsRule() {
        room.pinned.add(new PlanJob("x", Task.USE, "B1", "F1", "mon", null, null, at(0, 7), at(0, 14), true, null));
        assertThatThrownBy(this::plan).isInstanceOfSatisfying(BrokenPlan.class, broken -> assertThat(broken.breaches())
                .extracting(Breach::rule)
                .contains(HardRule.COVERS_SHIFT));
    }

    /** Pinned before it equalises: the battery is full, the charge is short, and it rests all the same. */
    @Test
    void aPinnedChargeOfAFullBatteryRestsToo() {
        room.pinned.add(new PlanJob("p", Task.CHARGE, "B4", null, null, "K2", null, at(0, 10), at(0, 12), true, null));
        Plan plan = plan();
        assertThat(plan.valid()).isTrue();
        assertThat(job(plan, Task.COOL, "B4").start()).isEqualTo(at(0, 12));
    }

    /** Somebody plugged in more than the room bears: that is so, and the plan adds nothing to it until it is over. */
    @Test
    void whatHasBegunOverTheLimitIsAFact() {
        room.room = new RoomLimits(15.0, null);
        for (int i = 1; i <= 3; i++) {
            room.with(SmallRoom.battery("B" + i, 240));
        }
        for (int i = 1; i <= 2; i++) {
            room.pinned.add(new PlanJob(
                    "c" + i, Task.CHARGE, "B" + i, null, null, "K" + i, null, at(0, -2), at(0, 4), true, null));
        }
        Plan plan = plan();
        assertThat(plan.valid()).isTrue();
        assertThat(job(plan, Task.CHARGE, "B3").start()).isEqualTo(at(0, 4));
    }

    /** What was decided for a battery while it worked still holds when it is back. */
    @Test
    void aChargeThatWaitsGoesOnWaitingWhenItsBatteryIsBack() {
        PlanJob use = new PlanJob("u", Task.USE, "B1", "F1", "past", null, null, at(0, -8), at(0, 0), true, null);
        PlanJob waits = new PlanJob("c", Task.CHARGE, "B1", null, null, "K2", null, at(0, 3), at(0, 9), false, null);
        room.with(SmallRoom.battery("B1", 240));
        Plan before = new Plan(List.of(use, waits), List.of(), List.of(), 0, true);
        Plan plan = PlanMaker.make(room.problem(), Decisions.of(room.problem(), before));
        assertThat(job(plan, Task.CHARGE, "B1").start()).isEqualTo(at(0, 3));
        assertThat(job(plan, Task.CHARGE, "B1").charger()).isEqualTo("K2");
    }

    /** B3 and B4 stand full; the machines stand from 14:00: both changes are made long before somebody may be missed. */
    @Test
    void changesMadeSoonAreNotMadeInAHurry() {
        Plan late = plan();
        assertThat(late.amount(Term.HURRY)).isEqualTo(late.jobs(Task.CHANGE).count());
        Plan soon = PlanMaker.make(
                room.problem(), Decisions.of(room.problem(), late).changedSoon(room.problem()));
        assertThat(soon.shiftsUnmet()).isEqualTo(late.shiftsUnmet());
        assertThat(soon.amount(Term.HURRY)).isZero();
        assertThat(soon.jobs(Task.CHANGE).filter(job -> "tue".equals(job.shift())))
                .isNotEmpty()
                .allSatisfy(job ->
                        assertThat(job.start()).isAfterOrEqualTo(at(0, 14)).isBefore(at(0, 22)));
    }

    /** It was to wait for the night, and somebody has plugged it in meanwhile: it is not charged a second time. */
    @Test
    void whatWasToWaitAndChargesAlreadyIsChargedOnce() {
        PlanJob waits = new PlanJob("c", Task.CHARGE, "B4", null, null, "K2", null, at(0, 22), at(1, 2), false, null);
        room.with(SmallRoom.battery("B4", 240));
        room.pinned.add(new PlanJob("now", Task.CHARGE, "B4", null, null, "K1", null, at(0, -2), at(0, 2), true, null));
        Plan before = new Plan(List.of(waits), List.of(), List.of(), 0, true);
        Plan plan = PlanMaker.make(room.problem(), Decisions.of(room.problem(), before));
        assertThat(plan.valid()).isTrue();
        assertThat(plan.jobs(Task.CHARGE).filter(job -> job.battery().equals("B4")))
                .extracting(PlanJob::start)
                .startsWith(at(0, -2))
                .doesNotContain(at(0, 22));
    }

    @Test
    void movedJobsAreCounted() {
        Plan before = plan();
        room.earlier = before;
        assertThat(plan().amount(Term.MOVED)).isZero();
        room.chargers.remove(1);
        room.charging.removeIf(pair -> pair.charger().equals("K2"));
        room.earlier = before;
        assertThat(plan().amount(Term.MOVED)).isPositive();
    }
}
