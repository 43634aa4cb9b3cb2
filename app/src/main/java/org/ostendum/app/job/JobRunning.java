package org.ostendum.app.job;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.procedure.Answer;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Run.Status;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.procedure.Step;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins jobs and takes what people say at them, one after the other whoever says it. */
@Service
public class JobRunning {
    private final Jobs jobs;
    private final JobEnding ending;
    private final StepEffects effects;
    private final Situations situations;
    private final Batteries batteries;
    private final SpecialJobs specialJobs;
    private final Trainings trainings;
    private final People people;
    private final BatteryStates batteryStates;
    private final Clock clock;
    private final ZoneId zone;

    JobRunning(
            Jobs jobs,
            JobEnding ending,
            StepEffects effects,
            Situations situations,
            Batteries batteries,
            SpecialJobs specialJobs,
            Trainings trainings,
            People people,
            BatteryStates batteryStates,
            Clock clock,
            ZoneId zone) {
        this.jobs = jobs;
        this.ending = ending;
        this.effects = effects;
        this.situations = situations;
        this.batteries = batteries;
        this.specialJobs = specialJobs;
        this.trainings = trainings;
        this.people = people;
        this.batteryStates = batteryStates;
        this.clock = clock;
        this.zone = zone;
    }

    /**
     * A gate that did not stand open.
     *
     * @param kind whether it was overridden or looked at
     */
    public record PassedGate(GateKey gate, Kind kind, String words) {}

    /**
     * Begins a job, or leads to the one like it that is under way.
     *
     * @param passed gates that did not stand open: gone through with a reason, or looked at
     * @return the job's id
     */
    @Transactional
    public long begin(Jobs.NewJob job, List<PassedGate> passed) {
        Optional<Long> begun = jobs.begin(job);
        if (begun.isEmpty()) {
            long like = jobs.openLike(job).orElseThrow();
            jobs.chooseAgain(like, job);
            return like;
        }
        int seq = 0;
        for (PassedGate gate : passed) {
            jobs.keep(
                    begun.get(),
                    ++seq,
                    new Jobs.NewEvent(
                            UUID.randomUUID().toString(),
                            job.personId(),
                            gate.kind(),
                            gate.gate().name(),
                            gate.words()));
        }
        return begun.get();
    }

    /** The run of a job as its events leave it. */
    public static Run run(Job job, List<JobEvent> events) {
        return run(job, events, UnaryOperator.identity());
    }

    /** The same, its procedure said in the reader's language. */
    static Run run(Job job, List<JobEvent> events, Words words) {
        return run(job, events, words::phrase);
    }

    private static Run run(Job job, List<JobEvent> events, UnaryOperator<String> said) {
        return Run.of(
                ProcedureFile.ofJson(job.text()).procedure(job.procedureId()).said(said),
                job.begunBy(),
                events.stream().map(JobEvent::event).toList());
    }

    /** @return whether the person's training for this job still counts */
    public boolean isTrained(Run run, Person person) {
        return trainings
                .of(person.id())
                .counts(
                        run.procedure().training(),
                        LocalDate.ofInstant(clock.instant(), zone),
                        batteryStates.rulebook().siteRules());
    }

    /** Those who can take a job over from a person. */
    List<Person> colleagues(Person person) {
        return people.all().stream()
                .filter(p -> p.active() && p.worksOnBatteries() && p.id() != person.id())
                .toList();
    }

    /** Keeps what a person says at a job, or tells why it cannot be kept. */
    @Transactional
    public Answer take(long jobId, JobInput said, Person person, Words words) {
        jobs.lock(jobId);
        if (jobs.isKept(said.key())) {
            return new Answer.Kept();
        }
        Job job = jobs.byId(jobId).orElseThrow();
        List<JobEvent> events = jobs.events(jobId);
        Run run = run(job, events);
        if (!job.isOpen()) {
            return new Answer.Overtaken(words.text("job.overtaken.ended", lastBy(events, job)));
        }
        @Nullable
        Battery battery =
                job.batteryId() == null ? null : batteries.byId(job.batteryId()).orElse(null);
        JobInputCheck check = new JobInputCheck(
                run,
                battery,
                batteryStates.rulesFor(battery),
                person,
                words,
                clock.instant(),
                isTrained(run, person),
                said.kind() == Kind.HANDED_OVER
                        ? colleagues(person).stream().map(Person::name).toList()
                        : List.of());
        JobInputCheck.Verdict verdict = check.of(said);
        if (verdict.overtaken() != null) {
            return new Answer.Overtaken(verdict.overtaken());
        } else if (verdict.faults().any()) {
            return new Answer.Refused(verdict.faults());
        }
        Faults shut = shutStep(job, run, said, verdict.value(), battery, person, words);
        if (shut.any()) {
            return new Answer.Refused(shut);
        }
        keep(job, events, said, verdict.value(), person, battery);
        return new Answer.Kept();
    }

    /** A later visit has its own gate: what has to have happened since the one before. */
    private Faults shutStep(
            Job job, Run run, JobInput said, String value, @Nullable Battery battery, Person person, Words words) {
        Faults.Finder faults = new Faults.Finder(words);
        @Nullable Step step = said.kind() == Kind.DONE ? run.current().orElse(null) : null;
        if (step != null && battery != null) {
            specialJobs
                    .of(run.procedure().id())
                    .against(job, run, step, value, battery, words)
                    .ifPresent(fault -> faults.say("value", fault));
        }
        GateKey gate = step == null ? null : step.gate();
        if (gate != null) {
            Situation situation = situations.of(run.procedure().training(), battery, null, person);
            if (Gates.ask(gate, situation) instanceof GateOutcome.Shut shut) {
                faults.say("value", words.say(shut.why()) + " " + words.say(shut.remedy()));
            }
        }
        return faults.found();
    }

    private void keep(
            Job job, List<JobEvent> events, JobInput said, String value, Person person, @Nullable Battery battery) {
        int seq = events.isEmpty() ? 1 : events.get(events.size() - 1).seq() + 1;
        jobs.keep(job.id(), seq, new Jobs.NewEvent(said.key(), person.id(), said.kind(), said.about(), value));
        if (said.kind() == Kind.DONE) {
            Run before = run(job, events);
            before.current()
                    .filter(step -> step.id().equals(said.about()))
                    .ifPresent(step -> effects.of(job, before, step, value, battery, person));
        }
        Run after = run(job, jobs.events(job.id()));
        if (after.stopped().isPresent() && run(job, events).stopped().isEmpty()) {
            specialJobs.of(job.procedureId()).stopped(job, after, person);
        }
        if (after.status() == Status.FINISHED) {
            ending.end(job, after, battery, person);
        } else {
            jobs.stands(job.id(), after.status());
        }
    }

    private static String lastBy(List<JobEvent> events, Job job) {
        return events.isEmpty() ? job.begunBy() : last(events).person();
    }

    private static RunEvent last(List<JobEvent> events) {
        return events.get(events.size() - 1).event();
    }
}
