package org.ostendum.planner;

import static org.assertj.core.api.Assertions.assertThat;

import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.score.director.ScoreDirectorFactoryConfig;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.make.Decisions;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.Span;

class ScoreKeeperTest {
    private final PlanProblem problem = TruckRoom.problem();
    private final Model model = new Model(problem);

    private RoomPlan searched(EnvironmentMode mode, int steps) {
        return SolverFactory.<RoomPlan>create(new SolverConfig()
                        .withSolutionClass(RoomPlan.class)
                        .withEntityClasses(WorkAndCharge.class)
                        .withScoreDirectorFactory(
                                new ScoreDirectorFactoryConfig().withIncrementalScoreCalculatorClass(ScoreKeeper.class))
                        .withEnvironmentMode(mode)
                        .withRandomSeed(3L)
                        .withPhases(
                                Moves.phases(part -> new TerminationConfig().withStepCountLimit((int) (part * steps)))))
                .buildSolver()
                .solve(model.start(PlanMaker.byRuleOfThumb(problem), false));
    }

    /** A battery for which there was no charger is left without a charge in the search too, not put on one that is taken. */
    @Test
    void aPlanThatLeavesBatteriesUnchargedIsAPlan() {
        List<Span> secondDay = List.of(new Span(TruckRoom.at(1, 0), TruckRoom.at(2, 0)));
        PlanProblem oneDay = problem.with(site -> site.withChargers(
                site.chargers().stream().map(charger -> charger.away(secondDay)).toList()));
        Plan thumb = PlanMaker.byRuleOfThumb(oneDay);
        ScoreKeeper keeper = new ScoreKeeper();
        keeper.resetWorkingSolution(new Model(oneDay).start(thumb, false));
        assertThat(thumb.amount(Term.UNCHARGED)).isPositive();
        assertThat(keeper.calculateScore().isFeasible()).isTrue();
        assertThat(keeper.calculateScore().mediumScore()).isNegative();
    }

    /** After each move, and each move taken back, the library reckons the score anew and compares. */
    @Test
    void theScoreThatIsKeptIsTheOneReckonedAnew() {
        assertThat(searched(EnvironmentMode.FULL_ASSERT, 300).getScore().isFeasible())
                .isTrue();
    }

    /** Power, chargers, people and rest are reckoned as where a plan is put together, so that nothing that was found is lost there. */
    @Test
    void whatWasFoundCanBePutTogether() {
        RoomPlan found = searched(EnvironmentMode.NO_ASSERT, 3000);
        Decisions decided = model.decided(found);
        Plan plan = PlanMaker.make(problem, decided);
        assertThat(found.getScore().isFeasible()).isTrue();
        assertThat(Decisions.of(problem, plan).batteries()).isEqualTo(decided.batteries());
        Map<String, Decisions.Charge> begun = new HashMap<>(decided.charges());
        begun.values().removeIf(charge -> !charge.notBefore().isBefore(problem.until()));
        assertThat(Decisions.of(problem, plan).charges()).isEqualTo(begun);
        assertThat(plan.shiftsUnmet())
                .isEqualTo(decided.without().size())
                .isLessThan(PlanMaker.byRuleOfThumb(problem).shiftsUnmet());
    }
}
