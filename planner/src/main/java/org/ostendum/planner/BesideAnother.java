package org.ostendum.planner;

import ai.timefold.solver.core.api.score.director.ScoreDirector;
import ai.timefold.solver.core.impl.heuristic.move.AbstractMove;
import java.util.Collection;
import java.util.List;
import java.util.Objects;

/** A charge goes to a charger and begins at a certain time: mostly where another charge on it ends. */
final class BesideAnother extends AbstractMove<RoomPlan> {
    private final WorkAndCharge work;
    private final Outlet outlet;
    private final int wait;

    BesideAnother(WorkAndCharge work, Outlet outlet, int wait) {
        this.work = work;
        this.outlet = outlet;
        this.wait = wait;
    }

    @Override
    public boolean isMoveDoable(ScoreDirector<RoomPlan> director) {
        return !work.getOutlet().equals(outlet) || work.getWait() != wait;
    }

    @Override
    protected void doMoveOnGenuineVariables(ScoreDirector<RoomPlan> director) {
        director.beforeVariableChanged(work, "outlet");
        work.setOutlet(outlet);
        director.afterVariableChanged(work, "outlet");
        director.beforeVariableChanged(work, "wait");
        work.setWait(wait);
        director.afterVariableChanged(work, "wait");
    }

    @Override
    public BesideAnother rebase(ScoreDirector<RoomPlan> director) {
        return new BesideAnother(
                Objects.requireNonNull(director.lookUpWorkingObject(work)),
                Objects.requireNonNull(director.lookUpWorkingObject(outlet)),
                wait);
    }

    @Override
    public Collection<?> getPlanningEntities() {
        return List.of(work);
    }

    @Override
    public Collection<?> getPlanningValues() {
        return List.of(outlet, wait);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof BesideAnother move
                && move.work == work
                && move.outlet.equals(outlet)
                && move.wait == wait;
    }

    @Override
    public int hashCode() {
        return Objects.hash(System.identityHashCode(work), outlet, wait);
    }
}
