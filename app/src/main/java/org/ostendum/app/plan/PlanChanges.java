package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.plan.house.Mishap;
import org.ostendum.app.plan.house.Mishaps;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRun.State;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.people.Person;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.WhatIf;
import org.ostendum.core.plan.room.Task;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people change of a plan: pin, move, say that it could not be done. */
@Service
class PlanChanges {
    private static final Duration OUT_FOR = Duration.ofHours(24);

    private final PlanRuns runs;
    private final Mishaps mishaps;
    private final Planning planning;
    private final Batteries batteries;
    private final BatteryRecord record;

    PlanChanges(PlanRuns runs, Mishaps mishaps, Planning planning, Batteries batteries, BatteryRecord record) {
        this.batteries = batteries;
        this.record = record;
        this.runs = runs;
        this.mishaps = mishaps;
        this.planning = planning;
    }

    /**
     * @return a plan that can still be changed
     * @throws NotFound for one that was dropped or replaced, or never was
     */
    PlanRun changeable(long id) {
        return runs.byId(id)
                .filter(run -> run.state() == State.PROPOSED || run.state() == State.IN_FORCE)
                .orElseThrow(() -> new NotFound("plan " + id));
    }

    /** Pins a job, or lets it go where it is pinned. */
    @Transactional
    public void pin(long run, String id) {
        Plan plan = runs.plan(run).orElseThrow();
        runs.keep(run, with(plan, id));
    }

    private static Plan with(Plan plan, String id) {
        List<PlanJob> jobs = plan.jobs().stream()
                .map(job -> job.id().equals(id) ? job.withPinned(!job.pinned()) : job)
                .toList();
        return new Plan(jobs, plan.unmet(), plan.terms(), plan.seconds(), plan.valid());
    }

    /** @return the moved job’s id in the plan that is proposed now; empty where it cannot be moved there */
    @Transactional
    public Optional<String> move(long run, String id, String charger, Instant start, Person by, Words words) {
        PlanProblem problem = runs.problem(run);
        Plan plan = runs.plan(run).orElseThrow();
        return plan.jobs().stream()
                .filter(job -> job.id().equals(id))
                .findFirst()
                .flatMap(job -> new WhatIf(problem, plan).at(job, charger, start))
                .map(other -> {
                    String because =
                            words.text("plan.because.moved", other.job().battery(), charger);
                    long proposed = runs.add(problem, because, by.id(), null, words.now())
                            .orElseThrow();
                    runs.propose(proposed, with(other.plan(), other.job().id()), words.now());
                    return other.job().id();
                });
    }

    /**
     * Marks a job as done, and writes it into the battery's ledger.
     *
     * @return false for one of which its own page has to tell how it was done
     */
    @Transactional
    public boolean done(long run, String id, Person by, Words words) {
        PlanJob job = runs.plan(run).orElseThrow().jobs().stream()
                .filter(j -> j.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("job " + id));
        BatteryEvent event =
                switch (job.what()) {
                    case WATER -> new BatteryEvent.Watered(words.now(), null, null, BatteryEvent.Fill.UNSTATED);
                    case WASH -> new BatteryEvent.Washed(words.now());
                    default -> null;
                };
        if (event == null) {
            return false;
        }
        Battery battery = batteries.byCode(job.battery()).orElseThrow(() -> new NotFound("battery " + job.battery()));
        record.record(battery, List.of(LedgerEvents.entry(event, by.id(), words.text("plan.done.remark"))));
        runs.mark(run, id, true, "", by.id(), words.now());
        return true;
    }

    /** A battery is not to go on that charger: planned anew at once. */
    void forbid(long run, String id, Person by, Words words) {
        PlanJob job = runs.plan(run).orElseThrow().jobs().stream()
                .filter(one -> one.id().equals(id) && one.charger() != null)
                .findFirst()
                .orElseThrow(() -> new NotFound("charge " + id + " of the plan"));
        String charger = Objects.requireNonNull(job.charger());
        mishaps.add(
                Mishap.Kind.NOT_THERE,
                Mishap.pair(job.battery(), charger),
                words.now(),
                words.now().plus(OUT_FOR),
                null,
                by.id(),
                words.now());
        planning.again(words.text("plan.because.forbidden", job.battery(), charger), by.id());
    }

    /** What stands behind it goes into the next plan, which is made at once. */
    public void notPossible(long run, String id, NotPossible why, Person by, Words words) {
        PlanJob job = runs.plan(run).orElseThrow().jobs().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("job " + id + " of the plan"));
        String because = words.text(
                "plan.because.not-possible",
                words.text("plan.what." + job.what()),
                job.battery(),
                words.text("plan.not-possible." + why));
        runs.mark(run, id, false, words.text("plan.not-possible." + why), by.id(), words.now());
        Instant until = words.now().plus(OUT_FOR);
        if (why == NotPossible.CHARGER_DEAD && job.charger() != null) {
            mishaps.add(
                    Mishap.Kind.CHARGER_DEAD,
                    Objects.requireNonNull(job.charger()),
                    words.now(),
                    until,
                    null,
                    by.id(),
                    words.now());
        } else if (why == NotPossible.BATTERY_FAULT || (why == NotPossible.NOT_THERE && job.what() != Task.CHARGE)) {
            mishaps.add(Mishap.Kind.BATTERY_OUT, job.battery(), words.now(), until, null, by.id(), words.now());
        }
        planning.again(because, by.id());
    }
}
