package org.ostendum.app.change;

import java.util.Optional;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.words.Words;
import org.ostendum.core.change.Choosing;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StepEffect;
import org.springframework.stereotype.Component;

/** Changing a battery: another than the first of the order is asked why, and both move in one transaction. */
@Component
class ChangeJobs implements SpecialJob {
    private static final String OLD = "old";

    private final Pool pool;
    private final Exchange exchange;
    private final Changers changers;
    private final LiftViews lifts;
    private final CameOut cameOut;

    ChangeJobs(Pool pool, Exchange exchange, Changers changers, LiftViews lifts, CameOut cameOut) {
        this.pool = pool;
        this.exchange = exchange;
        this.changers = changers;
        this.lifts = lifts;
        this.cameOut = cameOut;
    }

    @Override
    public boolean isOf(String procedure) {
        return procedure.equals("change-battery");
    }

    @Override
    public ProcedureFile written(ProcedureFile file, Begun begun) {
        return sayingWhy(changers.asking(file, begun.battery()), begun);
    }

    /** Who takes another than the first of the order says why; it stays with the job. */
    private ProcedureFile sayingWhy(ProcedureFile file, Begun begun) {
        if (begun.into() == null) {
            return file;
        }
        String taken = begun.battery().code();
        return Choosing.first(pool.rank(begun.into(), begun.person()))
                .map(first -> first.pooled().subject().code())
                .filter(first -> !first.equals(taken))
                .map(first -> file.askingFirst(
                        "why-this-one", first + " is the one to take first. Why is " + taken + " taken?"))
                .orElse(file);
    }

    /** No beam lifts more than is stamped on it, nor what nobody has weighed, neither what goes in nor what comes out. */
    @Override
    public Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        return step.id().equals(Changers.WHICH)
                ? lifts.tooHeavy(job, battery, value)
                        .map(heavy -> words.text(
                                heavy.isUnknown() ? "lift.fault.unweighed" : "lift.fault.limit",
                                words.weight(heavy.limitKilograms()),
                                heavy.battery().code(),
                                words.weight(heavy.battery().type().weightKg())))
                : Optional.empty();
    }

    @Override
    public Optional<Beside> beside(Job job, Run run, Battery battery) {
        return run.current().map(Step::id).orElse("").equals(OLD)
                ? cameOut.beside(job)
                : lifts.beside(job, run, battery, run.value(Changers.WHICH));
    }

    @Override
    public void stopped(Job job, Run after, Person person) {
        after.stopped()
                .filter(stop -> stop.id().equals("changer"))
                .ifPresent(stop -> changers.outOfService(job, after, person));
    }

    @Override
    public void done(Job job, Run before, Battery battery, Person person) {
        if (job.machineId() != null) {
            exchange.into(job.machineId(), before, battery, person);
        }
    }

    @Override
    public Optional<Battery> toCharge(Job job, Step settled) {
        return settled.effect() == StepEffect.EXCHANGED ? cameOut.of(job) : Optional.empty();
    }
}
