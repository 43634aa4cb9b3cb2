package org.ostendum.planner;

import ai.timefold.solver.core.api.score.director.ScoreDirector;
import ai.timefold.solver.core.impl.heuristic.selector.move.factory.MoveIteratorFactory;
import ai.timefold.solver.core.impl.score.director.incremental.IncrementalScoreDirector;
import java.util.Iterator;
import java.util.List;
import java.util.Random;

/** Moves that are drawn one after the other, without end. */
abstract class RandomMoves implements MoveIteratorFactory<RoomPlan, AtOnce> {
    /** @return a move; {@link AtOnce#NOTHING} where what was drawn does not go */
    abstract AtOnce draw(Drawing drawing);

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
        Drawing drawing =
                new Drawing(director.getWorkingSolution(), kept(director).occupancy(), chance);
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return !drawing.plan().getWorks().isEmpty();
            }

            @Override
            public AtOnce next() {
                return draw(drawing);
            }
        };
    }

    private static ScoreKeeper kept(ScoreDirector<RoomPlan> director) {
        return (ScoreKeeper) ((IncrementalScoreDirector<RoomPlan, ?>) director).getIncrementalScoreCalculator();
    }

    /** What a move is drawn from: the plan as it is at the moment, and chance. */
    record Drawing(RoomPlan plan, Occupancy occupancy, Random chance) {
        WorkAndCharge work() {
            return any(plan.getWorks());
        }

        <T> T any(List<T> of) {
            return of.get(chance.nextInt(of.size()));
        }
    }
}
