package org.ostendum.planner;

import ai.timefold.solver.core.api.score.director.ScoreDirector;
import ai.timefold.solver.core.impl.heuristic.selector.move.factory.MoveIteratorFactory;
import java.util.Iterator;
import java.util.Random;

/** Moves that are drawn one after the other, without end. */
abstract class RandomMoves implements MoveIteratorFactory<RoomPlan, AtOnce> {
    /** @return a move; {@link AtOnce#NOTHING} where what was drawn does not go */
    abstract AtOnce draw(RoomPlan plan, Random chance);

    @Override
    public final long getSize(ScoreDirector<RoomPlan> director) {
        long works = director.getWorkingSolution().getWorks().size();
        return works * works;
    }

    @Override
    public final Iterator<AtOnce> createOriginalMoveIterator(ScoreDirector<RoomPlan> director) {
        throw new UnsupportedOperationException("only at random");
    }

    @Override
    public final Iterator<AtOnce> createRandomMoveIterator(ScoreDirector<RoomPlan> director, Random chance) {
        RoomPlan plan = director.getWorkingSolution();
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return !plan.getWorks().isEmpty();
            }

            @Override
            public AtOnce next() {
                return draw(plan, chance);
            }
        };
    }

    static WorkAndCharge any(RoomPlan plan, Random chance) {
        return plan.getWorks().get(chance.nextInt(plan.getWorks().size()));
    }
}
