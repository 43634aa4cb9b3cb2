package org.ostendum.sim.week;

import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.PlanMaker;

/** Whoever leads the room: asked whenever something has happened that nobody had planned. */
public interface Lead {
    /** Plugs in where a charger is free; the longest rested goes to work. */
    Lead RULE_OF_THUMB = (now, before) -> PlanMaker.byRuleOfThumb(now);

    /**
     * @param now the room as it is
     * @param before plan in force; null for none
     */
    Plan plan(PlanProblem now, @Nullable Plan before);
}
