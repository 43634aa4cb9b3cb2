package org.ostendum.planner;

import java.util.Random;
import org.jspecify.annotations.Nullable;

/** Where and when a charge may well run: at once, late, where the price changes or where another begins or ends; on a free charger. */
final class Places {
    private static final int TRIES = 6;
    private static final int KINDS = 5;
    private static final int STEPS_BEFORE_LATEST = 6;
    private static final long STEP = 600;
    private static final int NEXT_PRICES = 4;

    private final RoomPlan plan;
    private final Random chance;

    Places(RoomPlan plan, Random chance) {
        this.plan = plan;
        this.chance = chance;
    }

    /**
     * @param battery that is charged after that work, whoever has it now
     * @param latest that it has to have ended by, seconds from the plan’s beginning
     * @return null where none was found
     */
    AtOnce.@Nullable Placed pick(WorkAndCharge work, Stock battery, long latest) {
        Peers peers = new Peers(plan, work);
        for (int i = 0; i < TRIES; i++) {
            long waits = work.waits(start(work, battery, latest));
            if (waits >= 0 && waits <= RoomPlan.MOST_WAITS) {
                Outlet outlet = peers.free(work, battery, work.startAfter(waits), chance);
                if (outlet != null && work.startAfter(waits) + work.lasts(battery, outlet) <= latest) {
                    return new AtOnce.Placed(work, outlet, (int) waits);
                }
            }
        }
        return null;
    }

    private long start(WorkAndCharge work, Stock battery, long latest) {
        long lasts = work.lasts(battery, work.getOutlets().get(0));
        return switch (chance.nextInt(KINDS)) {
            case 0 -> work.end;
            case 1 ->
                Math.min(
                        work.startAfter(RoomPlan.MOST_WAITS),
                        latest - lasts - STEP * chance.nextInt(STEPS_BEFORE_LATEST));
            case 2 -> atPrice(work, lasts);
            case 3 -> atOther(plan.getWorks().get(work.peers[chance.nextInt(work.peers.length)]), lasts);
            default -> work.startAfter(chance.nextInt(RoomPlan.MOST_WAITS + 1));
        };
    }

    private long atPrice(WorkAndCharge work, long lasts) {
        long[] changes = plan.getPricing().changes();
        int one = chance.nextInt(NEXT_PRICES);
        while (one < changes.length && changes[one] < work.end) {
            one += NEXT_PRICES;
        }
        if (one >= changes.length) {
            return work.end;
        }
        return chance.nextBoolean() ? changes[one] : changes[one] - lasts;
    }

    private long atOther(WorkAndCharge other, long lasts) {
        return chance.nextBoolean() ? other.chargeEnd() : other.chargeStart() - lasts;
    }
}
