package org.ostendum.core.plan.make;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.Plan.Unmet;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;

/** The jobs of a plan as they are put together, each taking what it needs. */
final class Draft {
    final PlanProblem problem;
    final PlanLookup lookup;
    final Resources resources;

    private final List<PlanJob> jobs = new ArrayList<>();
    private final List<Unmet> unmet = new ArrayList<>();
    private final Map<String, Integer> ids = new HashMap<>();

    Draft(PlanProblem problem) {
        this.problem = problem;
        this.lookup = new PlanLookup(problem);
        this.resources = new Resources(problem);
    }

    /** Puts in what stays as it is. */
    void pin(PlanJob job) {
        PlanJob stays = job.withPinned(true);
        long start = resources.seconds(job.start());
        long end = resources.seconds(job.end());
        resources.battery(job.battery()).take(start, end);
        resources.takePerson(job.person(), start, end);
        if (job.what().wantsCharger() && job.charger() != null) {
            resources.takeCharger(job.charger(), start, gassesFrom(job, start, end), end);
        }
        if (job.isOnBench()) {
            resources.bench().take(start, end);
        }
        ids.merge(key(job.what(), job.battery(), job.start()), 1, Integer::sum);
        jobs.add(stays);
    }

    private long gassesFrom(PlanJob job, long start, long end) {
        Pairing pair = lookup.pairing(job.battery(), job.charger());
        return pair == null || job.what() == Task.EQUALISE
                ? start
                : Math.max(start, end - Math.round(60 * pair.finishMinutes()));
    }

    void use(String battery, String machine, Shift shift, @Nullable Message reason) {
        resources.battery(battery).take(resources.seconds(shift.start()), resources.seconds(shift.end()));
        add(Task.USE, battery, machine, shift.id(), null, null, shift.start(), shift.end(), reason);
    }

    void change(String battery, String machine, String shift, Resources.Hand hand, @Nullable Message reason) {
        byHand(Task.CHANGE, battery, machine, shift, hand, reason);
    }

    void care(Task what, String battery, Resources.Hand hand, @Nullable Message reason) {
        byHand(what, battery, null, null, hand, reason);
    }

    /** Goes on by itself, once a person has begun it there. */
    void onBench(String battery, Resources.Hand begun, long end, @Nullable Message reason) {
        resources.battery(battery).take(begun.end(), end);
        resources.bench().take(begun.start(), end);
        add(Task.TEST, battery, null, null, null, null, resources.instant(begun.end()), resources.instant(end), reason);
    }

    private void byHand(
            Task what,
            String battery,
            @Nullable String machine,
            @Nullable String shift,
            Resources.Hand hand,
            @Nullable Message reason) {
        resources.battery(battery).take(hand.start(), hand.end());
        resources.takePerson(hand.person(), hand.start(), hand.end());
        add(
                what,
                battery,
                machine,
                shift,
                null,
                hand.person(),
                resources.instant(hand.start()),
                resources.instant(hand.end()),
                reason);
    }

    void charge(String battery, Resources.Place place, @Nullable Message reason) {
        long gasFrom = Math.max(
                place.start(), place.end() - Math.round(60 * place.pair().finishMinutes()));
        resources.battery(battery).take(place.start(), place.end());
        resources.takeCharger(place.pair().charger(), place.start(), gasFrom, place.end());
        onCharger(Task.CHARGE, battery, place.pair().charger(), place.start(), place.end(), reason);
    }

    void equalise(String battery, String charger, long start, long end, @Nullable Message reason) {
        resources.battery(battery).take(start, end);
        resources.takeCharger(charger, start, start, end);
        onCharger(Task.EQUALISE, battery, charger, start, end, reason);
    }

    private void onCharger(Task what, String battery, String charger, long start, long end, @Nullable Message reason) {
        add(what, battery, null, null, charger, null, resources.instant(start), resources.instant(end), reason);
    }

    /** @return seconds at which it is cool: at once where it need not rest */
    long cool(String battery, long from) {
        long lasts = coolSeconds(battery);
        if (lasts == 0) {
            return from;
        }
        Instant start = resources.instant(from);
        // One that is pinned with its charge rests already.
        boolean rests = jobs.stream()
                .anyMatch(job -> job.what() == Task.COOL
                        && job.battery().equals(battery)
                        && job.start().equals(start));
        if (!rests) {
            resources.battery(battery).take(from, from + lasts);
            add(Task.COOL, battery, null, null, null, null, start, resources.instant(from + lasts), null);
        }
        return from + lasts;
    }

    long coolSeconds(String battery) {
        return lookup.isFixed(battery) ? 0 : 60L * problem.rules().coolMinutes();
    }

    /** Takes back the rest that begins at a moment, because something comes before it. */
    void takeBackRest(String battery, long from) {
        Instant start = resources.instant(from);
        jobs.removeIf(job -> job.what() == Task.COOL
                && job.battery().equals(battery)
                && job.start().equals(start));
        resources.battery(battery).free(from);
    }

    void unmet(Unmet need) {
        unmet.add(need);
    }

    private void add(
            Task what,
            String battery,
            @Nullable String machine,
            @Nullable String shift,
            @Nullable String charger,
            @Nullable String person,
            Instant start,
            Instant end,
            @Nullable Message reason) {
        jobs.add(new PlanJob(
                id(what, battery, start), what, battery, machine, shift, charger, person, start, end, false, reason));
    }

    private String id(Task what, String battery, Instant start) {
        String key = key(what, battery, start);
        int times = Objects.requireNonNull(ids.merge(key, 1, Integer::sum));
        return times == 1 ? key : key + "-" + times;
    }

    private static String key(Task what, String battery, Instant start) {
        return what.word() + "-" + battery + "-" + start.getEpochSecond() / 60;
    }

    List<PlanJob> jobs() {
        return jobs;
    }

    Plan plan() {
        return new Plan(jobs, unmet, List.of(), 0, false);
    }
}
