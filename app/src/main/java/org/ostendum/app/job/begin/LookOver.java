package org.ostendum.app.job.begin;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.ostendum.app.job.JobInput;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.procedure.Answer;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Step;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A job whose steps are all answered at one look. What it leaves behind is the same as if it had been gone through step by step. */
@Service
public class LookOver {
    private final JobRunning running;
    private final Jobs jobs;

    LookOver(JobRunning running, Jobs jobs) {
        this.running = running;
        this.jobs = jobs;
    }

    /**
     * Settles step after step as right, up to the first that one look does not answer, and ends the job if none is left.
     *
     * @return whether the job is over; otherwise it stands at the step that wants more
     */
    @Transactional
    public boolean goThrough(long job, Person person, Words words) {
        Optional<Step> step = current(job);
        while (step.isPresent() && step.get().rightAnswer().isPresent()) {
            if (!say(
                    job,
                    RunEvent.Kind.DONE,
                    step.get().id(),
                    step.get().rightAnswer().get(),
                    person,
                    words)) {
                return false;
            }
            step = current(job);
        }
        return step.isEmpty() && say(job, RunEvent.Kind.FINISHED, "", "", person, words);
    }

    private Optional<Step> current(long job) {
        Run run = JobRunning.run(jobs.byId(job).orElseThrow(), jobs.events(job));
        return run.status() == Run.Status.RUNNING ? run.current() : Optional.empty();
    }

    private boolean say(long job, RunEvent.Kind kind, String about, String value, Person person, Words words) {
        JobInput said = new JobInput(UUID.randomUUID().toString(), kind, about, Map.of("value", value));
        return running.take(job, said, person, words) instanceof Answer.Kept;
    }
}
