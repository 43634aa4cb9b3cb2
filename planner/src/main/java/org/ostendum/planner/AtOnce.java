package org.ostendum.planner;

import ai.timefold.solver.core.api.score.director.ScoreDirector;
import ai.timefold.solver.core.impl.heuristic.move.AbstractMove;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** Several decisions at once: charges that begin elsewhere or at another time, and works that other batteries take. */
final class AtOnce extends AbstractMove<RoomPlan> {
    static final AtOnce NOTHING = new AtOnce(List.of(), List.of());

    private final List<Placed> placed;
    private final List<Taken> taken;

    AtOnce(List<Placed> placed, List<Taken> taken) {
        this.placed = placed;
        this.taken = taken;
    }

    /** The charge after a work, on that charger after that wait. */
    record Placed(WorkAndCharge work, Outlet outlet, int waits) {
        /** @return when the battery may work again, charged so */
        long ready(Stock battery) {
            return work.startAfter(waits) + work.lasts(battery, outlet) + battery.coolSeconds();
        }

        boolean isNew() {
            return !outlet.equals(work.getOutlet()) || work.getWait() != waits;
        }
    }

    /** A work that a battery takes. */
    record Taken(WorkAndCharge work, Stock battery) {}

    @Override
    public boolean isMoveDoable(ScoreDirector<RoomPlan> director) {
        return !taken.isEmpty() || placed.stream().anyMatch(Placed::isNew);
    }

    @Override
    protected void doMoveOnGenuineVariables(ScoreDirector<RoomPlan> director) {
        for (Placed one : placed) {
            WorkAndCharge work = one.work();
            director.beforeVariableChanged(work, "outlet");
            work.setOutlet(one.outlet());
            director.afterVariableChanged(work, "outlet");
            director.beforeVariableChanged(work, "wait");
            work.setWait(one.waits());
            director.afterVariableChanged(work, "wait");
        }
        for (Taken one : taken) {
            director.beforeVariableChanged(one.work(), "battery");
            one.work().setBattery(one.battery());
            director.afterVariableChanged(one.work(), "battery");
        }
    }

    @Override
    public AtOnce rebase(ScoreDirector<RoomPlan> director) {
        return new AtOnce(
                placed.stream()
                        .map(one -> new Placed(there(director, one.work()), there(director, one.outlet()), one.waits()))
                        .toList(),
                taken.stream()
                        .map(one -> new Taken(there(director, one.work()), there(director, one.battery())))
                        .toList());
    }

    private static <T> T there(ScoreDirector<RoomPlan> director, T one) {
        return Objects.requireNonNull(director.lookUpWorkingObject(one));
    }

    @Override
    public Collection<?> getPlanningEntities() {
        return Stream.concat(placed.stream().map(Placed::work), taken.stream().map(Taken::work))
                .distinct()
                .toList();
    }

    @Override
    public Collection<?> getPlanningValues() {
        return Stream.concat(
                        placed.stream().flatMap(one -> Stream.of(one.outlet(), one.waits())),
                        taken.stream().map(Taken::battery))
                .toList();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof AtOnce move && move.placed.equals(placed) && move.taken.equals(taken);
    }

    @Override
    public int hashCode() {
        return Objects.hash(placed, taken);
    }
}
