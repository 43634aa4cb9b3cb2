package org.ostendum.app.job.begin;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.JobRunning.PassedGate;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.Situations;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.job.SpecialJobs;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.springframework.stereotype.Service;

/** Begins a job in the form in which it is run: under the rules of its battery, without what its state answers. */
@Service
class Beginning {
    private final SiteProcedures procedures;
    private final Situations situations;
    private final JobRunning running;
    private final SpecialJobs specialJobs;

    Beginning(SiteProcedures procedures, Situations situations, JobRunning running, SpecialJobs specialJobs) {
        this.procedures = procedures;
        this.situations = situations;
        this.running = running;
        this.specialJobs = specialJobs;
    }

    /** @return whether its steps come in an order that can be chosen */
    boolean isOrdered(Procedure procedure) {
        return specialJobs.of(procedure.id()).isOrdered();
    }

    /** @return whether a job can be done to a battery by what it is */
    boolean suits(Procedure procedure, @Nullable Battery battery) {
        return specialJobs.of(procedure.id()).suits(battery);
    }

    /**
     * @param passed gates that did not stand open: gone through with a reason, or looked at
     * @return the job's id
     */
    long begin(JobToBegin job, Person person, List<PassedGate> passed) {
        @Nullable Battery battery = job.battery();
        @Nullable Machine into = job.into();
        @Nullable Choice choice = job.choice();
        Procedure procedure = job.procedure();
        ProcedureFile file =
                situations.asRunOn(battery, procedures.file(procedure.id()).orElseThrow(), job.situation());
        if (battery != null) {
            file = specialJobs
                    .of(procedure.id())
                    .written(
                            file,
                            new SpecialJob.Begun(
                                    procedure.id(),
                                    battery,
                                    into,
                                    person,
                                    job.form().school()));
        }
        return running.begin(
                new Jobs.NewJob(
                        procedure.id(),
                        procedure.version(),
                        file.json(),
                        situations.roomOf(battery),
                        battery == null ? null : battery.id(),
                        into == null ? null : into.id(),
                        person.id(),
                        choice == null ? null : choice.chargerId(),
                        choice == null ? null : choice.kind()),
                passed);
    }
}
