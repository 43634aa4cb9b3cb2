package org.ostendum.app.change;

import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.core.change.Choosing;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.springframework.stereotype.Component;

/** Changing a battery: another than the first of the order is asked why, and both move in one transaction. */
@Component
class ChangeJobs implements SpecialJob {
    private final Pool pool;
    private final Exchange exchange;
    private final Changers changers;

    ChangeJobs(Pool pool, Exchange exchange, Changers changers) {
        this.pool = pool;
        this.exchange = exchange;
        this.changers = changers;
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
}
