package org.ostendum.app.job;

import org.ostendum.app.capacity.Recharge;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.springframework.stereotype.Component;

/** Opens the charge of what a step has made free, such as the battery that came out of a truck. Once is enough: an open one stays. */
@Component
class ChargedNext {
    private final SpecialJobs specialJobs;
    private final Recharge recharge;
    private final Jobs jobs;

    ChargedNext(SpecialJobs specialJobs, Recharge recharge, Jobs jobs) {
        this.specialJobs = specialJobs;
        this.recharge = recharge;
        this.jobs = jobs;
    }

    /** Only a job at a machine makes a battery free. */
    void after(Job job, String stepId, Person person) {
        if (job.machineId() == null) {
            return;
        }
        Run run = JobRunning.run(job, jobs.events(job.id()));
        if (run.settled(stepId).isPresent()) {
            run.procedure()
                    .step(stepId)
                    .flatMap(step -> specialJobs.of(job.procedureId()).toCharge(job, step))
                    .ifPresent(battery -> recharge.open(battery, person.id()));
        }
    }
}
