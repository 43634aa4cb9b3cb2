package org.ostendum.core.plan.need;

import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.Cheaper;
import org.ostendum.core.plan.make.PlanMaker;

/** What it would take: a usual week and a bad one, with each thing that a pool might have more or less of. */
public final class WouldTake {
    private WouldTake() {}

    /** A usual and a bad week side by side. */
    public record Line(Supply supply, WeekSum usual, WeekSum bad) {}

    /**
     * Each week is planned by the rule of thumb with charges moved to cheaper hours: a search would take its seconds twelve times over.
     *
     * @param house as it is, a week ahead
     * @throws org.ostendum.core.plan.make.BrokenPlan where what is pinned breaks a hard rule
     */
    public static List<Line> of(PlanProblem house, Pool pool, ZoneId zone) {
        // What this month's meter has reached would hide what one supply draws less than another.
        PlanProblem anyMonth = house.with(site -> site.withRoom(house.room().reached(0)));
        return Arrays.stream(Supply.values())
                .map(supply -> {
                    PlanProblem given = supply.given(anyMonth, pool, zone);
                    return new Line(supply, sum(given, pool), sum(BadWeek.of(given, pool), pool));
                })
                .toList();
    }

    private static WeekSum sum(PlanProblem problem, Pool pool) {
        Plan plan = Cheaper.than(problem, PlanMaker.byRuleOfThumb(problem));
        return WeekSum.of(problem, plan, pool);
    }
}
