package org.ostendum.core.plan;

/** Problems for tests of other rooms of the house. */
public final class PlanProblems {
    private PlanProblems() {}

    /** Two trucks, a golf car, four batteries that change, three chargers, two days. */
    public static PlanProblem small() {
        return new SmallRoom().problem();
    }
}
