package org.ostendum.app.change;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.Jobs;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.statistics.Robust;
import org.springframework.stereotype.Component;

/** Changes made at a machine: when, its hour meter, what was left, and how long one takes here. */
@Component
public class ChangesMade {
    private static final int SHOWN = 12;
    /** So many of the last changes of the whole site tell how long one takes here. */
    private static final int LEARNED_FROM = 40;

    private static final String CHANGE = "change-battery";
    /** A job left open over lunch is no measure of a change. */
    private static final Duration LONGEST = Duration.ofHours(2);

    private static final int LEAST_MEASURED = 3;

    private final Jobs jobs;

    ChangesMade(Jobs jobs) {
        this.jobs = jobs;
    }

    /**
     * A change.
     *
     * @param hours by the machine's meter; empty where it was not read
     * @param left percent by its gauge; empty where it was not read
     * @param stopped whether it was broken off
     */
    record Made(
            Instant at,
            @Nullable String battery,
            String by,
            String hours,
            String left,
            boolean stopped,
            Duration took) {}

    /** @return minutes that a change takes on this site, at whichever machine; empty while too few were made */
    public Optional<Integer> usualMinutes() {
        return usualMinutes(
                jobs.endedOf(CHANGE, LEARNED_FROM).stream().map(this::made).toList());
    }

    /** @return the change that has been begun for a machine and not ended */
    Optional<Job> underWay(Machine machine) {
        return jobs.open().stream()
                .filter(job ->
                        job.procedureId().equals(CHANGE) && machine.code().equals(job.machine()))
                .findFirst();
    }

    /** @return the newest first */
    List<Made> of(Machine machine) {
        return jobs.ofMachine(machine.id(), SHOWN).stream()
                .filter(job -> job.procedureId().equals(CHANGE))
                .map(this::made)
                .toList();
    }

    private Made made(Job job) {
        Run run = JobRunning.run(job, jobs.events(job.id()));
        Instant ended = Objects.requireNonNull(job.endedAt());
        return new Made(
                ended,
                job.battery(),
                job.begunBy(),
                run.value("hours"),
                run.value("left"),
                run.stopped().isPresent(),
                Duration.between(job.begunAt(), ended));
    }

    /** @return minutes that a change takes here, the middle of the last ones; empty while too few were made */
    static Optional<Integer> usualMinutes(List<Made> made) {
        double[] minutes = made.stream()
                .filter(m -> !m.stopped() && m.took().compareTo(LONGEST) <= 0)
                .mapToDouble(m -> m.took().toSeconds() / 60.0)
                .toArray();
        return minutes.length < LEAST_MEASURED
                ? Optional.empty()
                : Optional.of((int) Math.max(1, Math.round(Robust.median(minutes))));
    }
}
