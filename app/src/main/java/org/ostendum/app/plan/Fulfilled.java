package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.OnCharge;

/** Whether a job of a plan has been done, by what the battery's state shows: nobody has to tell it twice. */
final class Fulfilled {
    /** A change is made a little before its shift. */
    private static final Duration EARLY = Duration.ofHours(1);

    private Fulfilled() {}

    /**
     * @param plan it is of
     * @param machine code of the one the battery is in; null for none
     * @param planned when the plan was made: what was done since counts
     */
    static boolean is(
            PlanJob job, Plan plan, BatteryState state, @Nullable String machine, Instant planned, Instant now) {
        return switch (job.what()) {
            case WATER -> isSince(planned, state.water().watered());
            case ROUND -> isSince(planned, state.roundAt());
            case WASH -> isSince(planned, state.care().washed());
            case EQUALISE -> isSince(planned, state.charging().equalised());
            case TEST -> isSince(planned, state.tests().at());
            case CHARGE -> isCharged(job, plan, state, planned, now);
            case CHANGE ->
                machine != null
                        && machine.equals(job.machine())
                        && !job.start().minus(EARLY).isAfter(now);
            case USE, COOL -> false;
        };
    }

    private static boolean isSince(Instant planned, @Nullable Instant done) {
        return done != null && !done.isBefore(planned);
    }

    /** Plugged in before its time it is done as well, unless the battery works once more or is emptied on the bench before. */
    private static boolean isCharged(PlanJob job, Plan plan, BatteryState state, Instant planned, Instant now) {
        boolean worksBefore = plan.jobs().stream()
                .filter(use -> use.what() == Task.USE || use.isOnBench())
                .anyMatch(use -> use.battery().equals(job.battery())
                        && use.end().isAfter(now)
                        && use.start().isBefore(job.start())
                        && !isBackFrom(use, state));
        boolean charged = isSince(planned, state.charging().chargeEnded()) || isOnlyToEqualise(job, plan);
        return !worksBefore && (state.isCharging() || (state.full().isYes() && charged));
    }

    /** What has been plugged in since its work began is back early; what was plugged in before that has not gone to work yet. */
    private static boolean isBackFrom(PlanJob use, BatteryState state) {
        OnCharge charge = state.onCharge();
        return charge != null && !charge.since().isBefore(use.start());
    }

    /** A plan equalises after a charge alone; what is full by now needs none before it. */
    private static boolean isOnlyToEqualise(PlanJob charge, Plan plan) {
        return plan.jobs(Task.EQUALISE)
                .anyMatch(after -> after.battery().equals(charge.battery())
                        && after.start().equals(charge.end()));
    }
}
