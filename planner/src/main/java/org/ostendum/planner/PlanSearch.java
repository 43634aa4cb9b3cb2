package org.ostendum.planner;

import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.solver.Solver;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.score.director.ScoreDirectorFactoryConfig;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.time.Duration;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.Cheaper;
import org.ostendum.core.plan.make.Decisions;
import org.ostendum.core.plan.make.PlanMaker;

/**
 * Searches for the best plan of a room: from the rule of thumb on, for so many seconds or steps. What it finds is put together by
 * {@link PlanMaker}, so that it has passed the checker, and is never worse than the rule of thumb.
 */
public final class PlanSearch {
    private final PlanProblem problem;
    private final DoubleFunction<TerminationConfig> end;
    private final boolean disturbsLittle;
    private Comparator<Plan> order = Plan.BETTER_FIRST;
    private @Nullable Solver<RoomPlan> solver;
    private volatile boolean stopped;

    private PlanSearch(PlanProblem problem, DoubleFunction<TerminationConfig> end, boolean disturbsLittle) {
        this.problem = problem;
        this.end = end;
        this.disturbsLittle = disturbsLittle;
    }

    /** Searches for the seconds of the problem. */
    public static PlanSearch timed(PlanProblem problem) {
        int millis = 1000 * Math.max(1, problem.seconds());
        return new PlanSearch(
                problem,
                part -> new TerminationConfig().withSpentLimit(Duration.ofMillis(Math.round(part * millis))),
                false);
    }

    /** Searches for so many steps: the same problem and seed give the same plan. */
    public static PlanSearch stepped(PlanProblem problem, int steps) {
        return new PlanSearch(
                problem, part -> new TerminationConfig().withStepCountLimit((int) Math.round(part * steps)), false);
    }

    /**
     * @return the same search, but of the plan in force no more than a twentieth may be otherwise beside what has to be: for when something
     *     has gone wrong and people are at their jobs
     */
    public PlanSearch disturbingLittle() {
        return new PlanSearch(problem, end, true);
    }

    /** A plan on the way, by the search's own reckoning: what it costs without the care that is placed at the end. */
    public record Progress(long shiftsUnmet, double cost) {}

    /**
     * @param told of each better plan on the way
     * @return the best that was found
     * @throws org.ostendum.core.plan.make.BrokenPlan where what is pinned breaks a hard rule
     */
    public Plan run(Consumer<Progress> told) {
        long began = System.nanoTime();
        Plan thumb = PlanMaker.byRuleOfThumb(problem);
        Plan best = problem.seconds() == 0 || stopped ? thumb : better(known(thumb), told);
        return best.with(best.terms(), (System.nanoTime() - began) / 1e9, best.valid());
    }

    private Plan better(Plan known, Consumer<Progress> told) {
        Model model = new Model(problem);
        RoomPlan start = model.start(known, disturbsLittle);
        if (start.getWorks().isEmpty()) {
            return known;
        }
        Solver<RoomPlan> searching = SolverFactory.<RoomPlan>create(config()).buildSolver();
        searching.addEventListener(event -> {
            RoomPlan better = event.getNewBestSolution();
            HardMediumSoftLongScore score = better.getScore();
            if (score.isFeasible()) {
                told.accept(new Progress(better.shiftsUnmet(), -score.softScore() / 100.0));
            }
        });
        solver = searching;
        if (stopped) {
            return known;
        }
        Decisions decided = model.decided(searching.solve(start));
        Plan found = best(together(decided), known);
        return found.equals(known) ? best(changedSoon(Decisions.of(problem, known)), known) : found;
    }

    private Plan together(Decisions decided) {
        Plan soon = changedSoon(decided);
        if (decided.without().isEmpty()) {
            return soon;
        }
        // A change that waits for a late charge may find nobody any more; at the last moment it does.
        boolean isLess = soon.shiftsUnmet() > decided.without().size();
        Plan plan = isLess ? best(soon, PlanMaker.make(problem, decided)) : soon;
        return best(plan, changedSoon(decided.withoutNone()));
    }

    private Plan changedSoon(Decisions decided) {
        return PlanMaker.make(problem, decided.changedSoon(problem));
    }

    /** Where there was a plan, what is left of it is where the search begins, unless too little is left. */
    private Plan known(Plan thumb) {
        Plan earlier = problem.earlier();
        if (earlier == null) {
            return Cheaper.than(problem, thumb);
        }
        Comparator<Plan> cheapest = Comparator.comparingDouble(Plan::cost);
        Plan left = Collections.min(
                List.of(
                        PlanMaker.make(problem, Decisions.leavingOut(problem, earlier)),
                        PlanMaker.make(problem, Decisions.of(problem, earlier))),
                cheapest);
        boolean isKept = left.cost() <= thumb.cost();
        order = isKept && disturbsLittle ? Disturbance.betterFirst(problem, earlier, left) : cheapest;
        return isKept ? left : best(left, Cheaper.than(problem, thumb));
    }

    /** Where a plan is in force, one shift more is not worth turning everything round: what moves weighs too. */
    private Plan best(Plan one, Plan other) {
        return Collections.min(List.of(one, other), order);
    }

    /** Ends the search early; what is best so far is the result. */
    public void stop() {
        stopped = true;
        Solver<RoomPlan> searching = solver;
        if (searching != null) {
            searching.terminateEarly();
        }
    }

    private SolverConfig config() {
        return new SolverConfig()
                .withSolutionClass(RoomPlan.class)
                .withEntityClasses(WorkAndCharge.class)
                .withScoreDirectorFactory(
                        new ScoreDirectorFactoryConfig().withIncrementalScoreCalculatorClass(ScoreKeeper.class))
                .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
                .withRandomSeed(problem.seed())
                .withPhases(Moves.phases(end));
    }
}
