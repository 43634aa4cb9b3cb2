package org.ostendum.planner;

import java.util.List;
import java.util.Random;

/** Lets two works change their batteries over. */
public final class ExchangedFactory extends RandomMoves {
    private static final int TRIES = 10;

    @Override
    AtOnce draw(RoomPlan plan, Random chance) {
        for (int i = 0; i < TRIES; i++) {
            WorkAndCharge one = any(plan, chance);
            WorkAndCharge other = plan.getWorks().get(one.peers[chance.nextInt(one.peers.length)]);
            if (isWork(one) && isWork(other) && takes(one, other.getBattery()) && takes(other, one.getBattery())) {
                return new AtOnce(
                        List.of(),
                        List.of(new AtOnce.Taken(one, other.getBattery()), new AtOnce.Taken(other, one.getBattery())));
            }
        }
        return AtOnce.NOTHING;
    }

    private static boolean isWork(WorkAndCharge work) {
        return !work.first && work.isWorked();
    }

    private static boolean takes(WorkAndCharge work, Stock battery) {
        return !work.getBattery().equals(battery) && work.getFitting().contains(battery);
    }
}
