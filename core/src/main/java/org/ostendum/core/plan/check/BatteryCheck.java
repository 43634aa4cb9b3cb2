package org.ostendum.core.plan.check;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;

/** Goes along the jobs of one battery and knows at each what is missing in it. */
final class BatteryCheck {
    /** Ends are kept to the second. */
    private static final Duration ROUNDING = Duration.ofSeconds(1);

    private static final double FULL_WITHIN = 1e-6;

    private final PlanProblem problem;
    private final PlanLookup lookup;

    BatteryCheck(PlanProblem problem, PlanLookup lookup) {
        this.problem = problem;
        this.lookup = lookup;
    }

    /** @param jobs of the battery, by time */
    List<Breach> breaches(String code, List<PlanJob> jobs) {
        List<Breach> breaches = new ArrayList<>();
        PoolBattery battery = Objects.requireNonNull(lookup.battery(code));
        double missing = battery.missingAh();
        for (int i = 0; i < jobs.size(); i++) {
            PlanJob job = jobs.get(i);
            boolean begun = PlanChecker.hasBegun(problem, job);
            @Nullable PlanJob before = i == 0 ? null : jobs.get(i - 1);
            switch (job.what()) {
                case USE -> {
                    if (!begun && missing > FULL_WITHIN) {
                        PlanChecker.add(breaches, HardRule.FULL_AND_COOL, job, code + " lacks " + missing + " Ah");
                    }
                    missing += Objects.requireNonNull(lookup.shift(job.machine(), job.shift()))
                            .ah();
                }
                case CHARGE -> {
                    charge(job, missing, begun, breaches);
                    cools(job, jobs.subList(i + 1, jobs.size()), breaches);
                    missing = 0;
                }
                case EQUALISE -> {
                    if (!begun) {
                        equalise(job, before, battery, breaches);
                    }
                }
                case WATER, ROUND, WASH, TEST -> {
                    if (job.isOnBench()) {
                        bench(job, before, begun, battery, breaches);
                        missing = battery.capacityAh();
                    } else if (!begun) {
                        care(job, missing, battery, breaches);
                    }
                }
                default -> {}
            }
        }
        return breaches;
    }

    private void charge(PlanJob job, double missing, boolean begun, List<Breach> breaches) {
        Pairing pair = lookup.pairing(job.battery(), job.charger());
        if (begun) {
            return;
        }
        if (pair == null) {
            PlanChecker.add(breaches, HardRule.CHARGES_RIGHT, job, job.battery() + " does not go on " + job.charger());
            return;
        }
        long wanted = pair.seconds(missing);
        long off = job.span().length().toSeconds() - wanted;
        if (Math.abs(off) > ROUNDING.toSeconds()) {
            PlanChecker.add(breaches, HardRule.CHARGES_RIGHT, job, "lasts " + off + " s more than it takes");
        }
        there(job, breaches);
    }

    private void there(PlanJob job, List<Breach> breaches) {
        PlanCharger charger = Objects.requireNonNull(lookup.charger(job.charger()));
        if (charger.away().stream().anyMatch(away -> away.touches(job.span()))) {
            PlanChecker.add(breaches, HardRule.CHARGES_RIGHT, job, charger.code() + " is away meanwhile");
        }
    }

    /** What follows straight after may be an equalising charge; then the rest begins at its end. */
    private void cools(PlanJob charge, List<PlanJob> after, List<Breach> breaches) {
        int minutes = problem.rules().coolMinutes();
        if (minutes == 0 || lookup.isFixed(charge.battery())) {
            return;
        }
        Instant hot = charge.end();
        int next = 0;
        if (!after.isEmpty()
                && after.get(0).what() == Task.EQUALISE
                && after.get(0).start().equals(hot)) {
            hot = after.get(0).end();
            next = 1;
        }
        PlanJob cool = next < after.size() ? after.get(next) : null;
        boolean rests = cool != null
                && cool.what() == Task.COOL
                && cool.start().equals(hot)
                && cool.span().length().toMinutes() == minutes;
        if (!rests) {
            PlanChecker.add(breaches, HardRule.COOLS, charge, "is not followed by " + minutes + " minutes of rest");
        }
    }

    private void equalise(PlanJob job, @Nullable PlanJob before, PoolBattery battery, List<Breach> breaches) {
        boolean after = before != null
                && before.what() == Task.CHARGE
                && before.end().equals(job.start())
                && Objects.equals(before.charger(), job.charger());
        if (!after) {
            PlanChecker.add(breaches, HardRule.EQUALISE_AFTER_CHARGE, job, "does not follow a charge on its charger");
        }
        there(job, breaches);
        long minutes = job.span().length().toMinutes();
        if (battery.due().stream().noneMatch(due -> due.what() == Task.EQUALISE && due.takes() == minutes)) {
            PlanChecker.add(
                    breaches,
                    HardRule.EQUALISE_AFTER_CHARGE,
                    job,
                    "takes " + minutes + " minutes, which none due does");
        }
    }

    /** What a person has begun on the bench goes on as long as the test takes, from a full battery. */
    private static void bench(
            PlanJob job, @Nullable PlanJob before, boolean begun, PoolBattery battery, List<Breach> breaches) {
        long minutes = job.span().length().toMinutes();
        boolean follows = before != null
                && before.what() == Task.TEST
                && before.end().equals(job.start())
                && battery.due().stream()
                        .filter(Due::isOnBench)
                        .anyMatch(due -> due.takes() - due.minutes() == minutes);
        if (!begun && !follows) {
            PlanChecker.add(
                    breaches, HardRule.BY_ONE_WHO_MAY, job, "is on the bench without one who has begun it there");
        }
    }

    private static void care(PlanJob job, double missing, PoolBattery battery, List<Breach> breaches) {
        boolean emptied = job.what() == Task.TEST && battery.due().stream().anyMatch(Due::isOnBench);
        if ((job.what().wantsFull() || emptied) && missing > FULL_WITHIN) {
            PlanChecker.add(breaches, HardRule.CARE_WHEN_FULL, job, battery.code() + " lacks " + missing + " Ah");
        }
        long minutes = job.span().length().toMinutes();
        if (battery.due().stream().noneMatch(due -> due.what() == job.what() && due.minutes() == minutes)) {
            PlanChecker.add(
                    breaches, HardRule.BY_ONE_WHO_MAY, job, "takes " + minutes + " minutes, which none due does");
        }
    }
}
