package org.ostendum.sim.room;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.check.PlanChecker;
import org.ostendum.core.plan.make.Decisions;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.RoomLimits;
import org.ostendum.core.plan.room.Task;
import org.ostendum.planner.PlanSearch;

/** The search for plans in rooms that were made up. */
class SearchedRoomsTest {
    private static final int STEPS = 4000;

    private static PlanProblem room(int batteries, int days, boolean tight, long seed) {
        return RoomMaker.make(new RoomMaker.Size(batteries, days, tight), 5, seed);
    }

    private static Plan searched(PlanProblem problem) {
        return PlanSearch.stepped(problem, STEPS).run(progress -> {});
    }

    private static Plan searchedAgain(PlanProblem problem) {
        return PlanSearch.stepped(problem, STEPS).disturbingLittle().run(progress -> {});
    }

    @ParameterizedTest
    @CsvSource({"4,1,true,1", "12,2,true,2", "12,3,false,3", "30,2,true,4"})
    void itIsValidAndNeverWorseThanTheRuleOfThumb(int batteries, int days, boolean tight, long seed) {
        PlanProblem problem = room(batteries, days, tight, seed);
        Plan thumb = PlanMaker.byRuleOfThumb(problem);
        Plan found = searched(problem);
        assertThat(PlanChecker.check(problem, found)).isEmpty();
        assertThat(found.shiftsUnmet()).isLessThanOrEqualTo(thumb.shiftsUnmet());
        if (found.shiftsUnmet() == thumb.shiftsUnmet()) {
            assertThat(found.cost()).isLessThanOrEqualTo(thumb.cost());
        }
    }

    @Test
    void itFindsWhatTheRuleOfThumbPaysTooMuchFor() {
        PlanProblem problem = room(20, 3, false, 7);
        assertThat(searched(problem).cost())
                .isLessThan(0.95 * PlanMaker.byRuleOfThumb(problem).cost());
    }

    /** Two halls, each with a fan of its own that bears only some of its chargers finishing at once. */
    @Test
    void itStaysWithinTheAirOfEachHall() {
        PlanProblem whole = room(20, 2, false, 9);
        List<PlanCharger> halls = new ArrayList<>();
        for (int i = 0; i < whole.chargers().size(); i++) {
            PlanCharger c = whole.chargers().get(i);
            halls.add(new PlanCharger(
                    c.code(),
                    c.volts(),
                    c.connector(),
                    c.place(),
                    c.kw(),
                    c.litresPerHour(),
                    i % 2 == 0 ? "north" : "south",
                    c.away()));
        }
        double most = 2.5
                * halls.stream().mapToDouble(PlanCharger::litresPerHour).max().orElseThrow();
        PlanProblem problem = whole.with(site -> site.withChargers(halls))
                .with(site -> site.withRoom(new RoomLimits(null, null, Map.of("north", most, "south", 3 * most))));
        Plan found = searched(problem);
        assertThat(PlanChecker.check(problem, found)).isEmpty();
        assertThat(found.cost()).isLessThan(PlanMaker.byRuleOfThumb(problem).cost());
        assertThat(PlanChecker.check(
                        problem.with(site -> site.withRoom(new RoomLimits(null, null, Map.of("north", most / 2)))),
                        found))
                .isNotEmpty();
    }

    @Test
    void theSameSeedAndStepsGiveTheSamePlan() {
        PlanProblem problem = room(12, 2, true, 5);
        assertThat(searched(problem).jobs()).isEqualTo(searched(problem).jobs());
    }

    private static List<String> usesAndCharges(Plan plan) {
        return plan.jobs().stream()
                .filter(job -> job.what() == Task.USE || job.what() == Task.CHARGE)
                .map(job -> String.join(
                        " ",
                        job.battery(),
                        job.machine(),
                        job.charger(),
                        job.start().toString()))
                .toList();
    }

    /** Also where shifts go without and batteries are left uncharged: nothing has to make room for them. */
    @Test
    void aPlanThatIsPutTogetherAgainIsTheSame() {
        PlanProblem problem = room(60, 2, true, 15);
        Plan found = searched(problem);
        Plan again = PlanMaker.make(problem, Decisions.leavingOut(problem, found));
        assertThat(found.shiftsUnmet()).isPositive();
        assertThat(found.amount(Term.UNCHARGED)).isPositive();
        assertThat(usesAndCharges(again)).isEqualTo(usesAndCharges(found));
    }

    /** Planned half a day further, what the plan in force had no charger for is charged after it, and nothing of it moves. */
    @Test
    void whatAPlanLeftUnchargedIsChargedAfterIt() {
        PlanProblem problem = room(60, 2, true, 15);
        Plan inForce = searched(problem);
        PlanProblem further = new PlanProblem(
                problem.from(),
                problem.until().plus(Duration.ofHours(12)),
                problem.seconds(),
                problem.seed(),
                inForce,
                List.of(),
                problem.site(),
                problem.weights());
        Plan again = PlanMaker.make(further, Decisions.leavingOut(further, inForce));
        assertThat(again.amount(Term.MOVED)).isZero();
        assertThat(again.jobs(Task.CHARGE).count())
                .isGreaterThan(inForce.jobs(Task.CHARGE).count());
        assertThat(again.amount(Term.UNCHARGED)).isLessThan(inForce.amount(Term.UNCHARGED));
    }

    /** A charger breaks: what has nothing to do with it stays, though more machines would work if all was turned round. */
    @ParameterizedTest
    @CsvSource({"30,2,false,8", "60,2,true,15"})
    void planningAgainDisturbsLittle(int batteries, int days, boolean tight, long seed) {
        PlanProblem before = room(batteries, days, tight, seed);
        Plan inForce = searched(before);
        String dead = inForce.jobs(Task.CHARGE).findFirst().orElseThrow().charger();
        Plan again =
                searchedAgain(before.after(inForce, charger -> charger.code().equals(dead)));
        long untouched = inForce.jobs().stream()
                .filter(job -> job.what() == Task.USE || (job.what() == Task.CHARGE && !dead.equals(job.charger())))
                .count();
        double moved = again.amount(Term.MOVED)
                - inForce.jobs(Task.CHARGE)
                        .filter(job -> dead.equals(job.charger()))
                        .count();
        assertThat(moved).isLessThanOrEqualTo(0.05 * untouched);
        assertThat(again.jobs(Task.CHARGE)).noneMatch(job -> dead.equals(job.charger()));
    }

    /** Every second charger breaks: what has to move does not count, and no machine stands so that something stays. */
    @ParameterizedTest
    @CsvSource({"30,2,false,8", "60,2,true,15"})
    void noMachineStandsSoThatTheRestStays(int batteries, int days, boolean tight, long seed) {
        PlanProblem before = room(batteries, days, tight, seed);
        Plan inForce = searched(before);
        List<PlanCharger> chargers = before.chargers();
        PlanProblem broken = before.after(inForce, charger -> chargers.indexOf(charger) % 2 == 1);
        Plan again = searchedAgain(broken);
        assertThat(again.shiftsUnmet())
                .isLessThanOrEqualTo(PlanMaker.byRuleOfThumb(broken).shiftsUnmet());
    }

    @Test
    void itTellsEachBetterPlanOnTheWay() {
        List<PlanSearch.Progress> told = new ArrayList<>();
        PlanSearch.stepped(room(12, 2, false, 6), STEPS).run(told::add);
        assertThat(told).hasSizeGreaterThan(3);
        assertThat(told.get(told.size() - 1).cost()).isLessThan(told.get(0).cost());
    }

    @Test
    void oneThatIsStoppedBeforeItBeganGivesTheRuleOfThumb() {
        PlanProblem problem = room(12, 2, false, 6);
        PlanSearch search = PlanSearch.timed(problem);
        search.stop();
        assertThat(search.run(progress -> {}).jobs())
                .isEqualTo(PlanMaker.byRuleOfThumb(problem).jobs());
    }
}
