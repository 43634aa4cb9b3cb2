package org.ostendum.planner;

import ai.timefold.solver.core.api.score.director.ScoreDirector;
import ai.timefold.solver.core.impl.heuristic.selector.move.factory.MoveIteratorFactory;
import java.util.Iterator;
import java.util.List;
import java.util.Random;

/** Tries charges beside one another: chargers that are short are filled without gaps only so. */
public final class BesideAnotherFactory implements MoveIteratorFactory<RoomPlan, BesideAnother> {
    private static final int TRIES = 20;

    @Override
    public long getSize(ScoreDirector<RoomPlan> director) {
        long works = director.getWorkingSolution().getWorks().size();
        return works * works;
    }

    @Override
    public Iterator<BesideAnother> createOriginalMoveIterator(ScoreDirector<RoomPlan> director) {
        throw new UnsupportedOperationException("only at random");
    }

    @Override
    public Iterator<BesideAnother> createRandomMoveIterator(ScoreDirector<RoomPlan> director, Random chance) {
        List<WorkAndCharge> works = director.getWorkingSolution().getWorks();
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return !works.isEmpty();
            }

            @Override
            public BesideAnother next() {
                return pick(works, chance);
            }
        };
    }

    private static BesideAnother pick(List<WorkAndCharge> works, Random chance) {
        WorkAndCharge work = works.get(chance.nextInt(works.size()));
        for (int i = 0; i < TRIES; i++) {
            WorkAndCharge other = works.get(chance.nextInt(works.size()));
            if (other != work && other.isCharged() && work.getOutlets().contains(other.getOutlet())) {
                long lasts = work.chargeEnd() - work.chargeStart();
                long start = chance.nextBoolean() ? other.chargeEnd() : other.chargeStart() - lasts;
                long wait = Math.floorDiv(start - work.end + WorkAndCharge.WAIT_STEP - 1, WorkAndCharge.WAIT_STEP);
                if (wait >= 0 && wait <= RoomPlan.MOST_WAITS) {
                    return new BesideAnother(work, other.getOutlet(), (int) wait);
                }
            }
        }
        Outlet outlet = work.getOutlets().get(chance.nextInt(work.getOutlets().size()));
        return new BesideAnother(work, outlet, chance.nextInt(RoomPlan.MOST_WAITS + 1));
    }
}
