package org.ostendum.app.plan;

import org.ostendum.app.plan.house.HouseBatteries;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.state.BatteryState;

/** Whether a job of a plan that was right when it was made is still to be done, as its battery is by now. */
final class StillRight {
    private StillRight() {}

    /**
     * What is under way is a fact: a charge that has to be ended is against the plan, a battery that is out is not. What somebody has in
     * hand is as likely the plan's own job as another: the person knows, and is asked by its gates.
     */
    static boolean is(PlanJob job, BatteryState state) {
        if (state.inHand() != null) {
            return true;
        }
        boolean underWay = !job.start().isAfter(state.asOf());
        if (underWay && job.what() == Task.CHARGE && state.isCharging()) {
            return !state.isChargeToBeEnded();
        }
        return (underWay && job.what() == Task.USE) || HouseBatteries.mayHave(job.what(), state);
    }
}
