package org.ostendum.planner;

import java.util.List;

/** Puts a charge on a charger where another ends or begins: chargers that are short are filled without gaps only so. */
public final class BesideAnotherFactory extends RandomMoves {
    private static final int TRIES = 20;

    @Override
    AtOnce draw(Drawing drawing) {
        WorkAndCharge work = drawing.work();
        for (int i = 0; work.isWorked() && i < TRIES; i++) {
            Outlet outlet = drawing.any(work.getOutlets());
            List<WorkAndCharge> others = drawing.occupancy().on(outlet);
            if (!others.isEmpty()) {
                long waits = work.waits(start(drawing, drawing.any(others), work.lasts(work.getBattery(), outlet)));
                if (waits >= 0 && waits <= RoomPlan.MOST_WAITS) {
                    return charged(work, outlet, (int) waits);
                }
            }
        }
        return charged(work, drawing.any(work.getOutlets()), drawing.chance().nextInt(RoomPlan.MOST_WAITS + 1));
    }

    private static long start(Drawing drawing, WorkAndCharge other, long lasts) {
        return drawing.chance().nextBoolean() ? other.chargeEnd() : other.chargeStart() - lasts;
    }

    private static AtOnce charged(WorkAndCharge work, Outlet outlet, int waits) {
        return new AtOnce(List.of(new AtOnce.Placed(work, outlet, waits)), List.of());
    }
}
