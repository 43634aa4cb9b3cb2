package org.ostendum.planner;

import java.util.List;

/** Lets two works change their batteries over. */
public final class ExchangedFactory extends RandomMoves {
    private static final int TRIES = 10;

    @Override
    AtOnce draw(Drawing drawing) {
        for (int i = 0; i < TRIES; i++) {
            WorkAndCharge one = drawing.work();
            List<WorkAndCharge> others = drawing.occupancy().having(drawing.any(one.getFitting()));
            if (isWork(one) && !others.isEmpty()) {
                WorkAndCharge other = drawing.any(others);
                if (isWork(other) && takes(one, other.getBattery()) && takes(other, one.getBattery())) {
                    return exchanged(one, other);
                }
            }
        }
        return AtOnce.NOTHING;
    }

    private static AtOnce exchanged(WorkAndCharge one, WorkAndCharge other) {
        return new AtOnce(
                List.of(),
                List.of(new AtOnce.Taken(one, other.getBattery()), new AtOnce.Taken(other, one.getBattery())));
    }

    private static boolean isWork(WorkAndCharge work) {
        return !work.first && work.isWorked();
    }

    private static boolean takes(WorkAndCharge work, Stock battery) {
        return !work.getBattery().equals(battery) && work.getFitting().contains(battery);
    }
}
