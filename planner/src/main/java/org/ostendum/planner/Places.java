package org.ostendum.planner;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Where and when a charge may well run: at once, late, where the price changes or where another begins or ends; on a free charger. */
final class Places {
    private static final int TRIES = 6;
    private static final int KINDS = 5;
    private static final int STEPS_BEFORE_LATEST = 6;
    private static final long STEP = 600;
    private static final int NEXT_PRICES = 4;

    private final RandomMoves.Drawing drawing;

    Places(RandomMoves.Drawing drawing) {
        this.drawing = drawing;
    }

    /**
     * @param battery that is charged after that work, whoever has it now
     * @param latest that it has to have ended by, seconds from the plan’s beginning
     * @return null where none was found
     */
    AtOnce.@Nullable Placed pick(WorkAndCharge work, Stock battery, long latest) {
        for (int i = 0; i < TRIES; i++) {
            long waits = work.waits(start(work, battery, latest));
            if (waits >= 0 && waits <= RoomPlan.MOST_WAITS) {
                Outlet outlet = free(work, battery, work.startAfter(waits));
                if (outlet != null && work.startAfter(waits) + work.lasts(battery, outlet) <= latest) {
                    return new AtOnce.Placed(work, outlet, (int) waits);
                }
            }
        }
        return null;
    }

    /** @return the quicker of two chargers on which nothing else charges meanwhile; null where all are taken */
    private @Nullable Outlet free(WorkAndCharge work, Stock battery, long start) {
        List<Outlet> outlets = work.getOutlets();
        int from = drawing.chance().nextInt(outlets.size());
        Outlet first = null;
        for (int i = 0; i < outlets.size(); i++) {
            Outlet outlet = outlets.get((from + i) % outlets.size());
            long lasts = work.lasts(battery, outlet);
            if (lasts > 0 && drawing.occupancy().isFree(outlet, work, start, start + lasts)) {
                if (first != null) {
                    return lasts < work.lasts(battery, first) ? outlet : first;
                }
                first = outlet;
            }
        }
        return first;
    }

    private long start(WorkAndCharge work, Stock battery, long latest) {
        long lasts = work.lasts(battery, work.getOutlets().get(0));
        return switch (drawing.chance().nextInt(KINDS)) {
            case 0 -> work.end;
            case 1 ->
                Math.min(
                        work.startAfter(RoomPlan.MOST_WAITS),
                        latest - lasts - STEP * drawing.chance().nextInt(STEPS_BEFORE_LATEST));
            case 2 -> atPrice(work, lasts);
            case 3 -> atOther(work, lasts);
            default -> work.startAfter(drawing.chance().nextInt(RoomPlan.MOST_WAITS + 1));
        };
    }

    private long atPrice(WorkAndCharge work, long lasts) {
        long[] changes = drawing.plan().getPricing().changes();
        int one = drawing.chance().nextInt(NEXT_PRICES);
        while (one < changes.length && changes[one] < work.end) {
            one += NEXT_PRICES;
        }
        if (one >= changes.length) {
            return work.end;
        }
        return drawing.chance().nextBoolean() ? changes[one] : changes[one] - lasts;
    }

    private long atOther(WorkAndCharge work, long lasts) {
        List<WorkAndCharge> others = drawing.occupancy().on(drawing.any(work.getOutlets()));
        if (others.isEmpty()) {
            return work.end;
        }
        WorkAndCharge other = drawing.any(others);
        return drawing.chance().nextBoolean() ? other.chargeEnd() : other.chargeStart() - lasts;
    }
}
