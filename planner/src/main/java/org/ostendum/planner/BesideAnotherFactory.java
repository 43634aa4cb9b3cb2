package org.ostendum.planner;

import java.util.List;
import java.util.Random;

/** Puts a charge on a charger where another ends or begins: chargers that are short are filled without gaps only so. */
public final class BesideAnotherFactory extends RandomMoves {
    private static final int TRIES = 20;

    @Override
    AtOnce draw(RoomPlan plan, Random chance) {
        WorkAndCharge work = any(plan, chance);
        for (int i = 0; i < TRIES; i++) {
            WorkAndCharge other = any(plan, chance);
            if (other != work && other.isCharged() && work.getOutlets().contains(other.getOutlet())) {
                long lasts = work.chargeEnd() - work.chargeStart();
                long start = chance.nextBoolean() ? other.chargeEnd() : other.chargeStart() - lasts;
                long waits = work.waits(start);
                if (waits >= 0 && waits <= RoomPlan.MOST_WAITS) {
                    return charged(work, other.getOutlet(), (int) waits);
                }
            }
        }
        Outlet outlet = work.getOutlets().get(chance.nextInt(work.getOutlets().size()));
        return charged(work, outlet, chance.nextInt(RoomPlan.MOST_WAITS + 1));
    }

    private static AtOnce charged(WorkAndCharge work, Outlet outlet, int waits) {
        return new AtOnce(List.of(new AtOnce.Placed(work, outlet, waits)), List.of());
    }
}
