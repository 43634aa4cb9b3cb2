package org.ostendum.app.api;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;

/**
 * A plan as programs read it.
 *
 * @param terms what it costs, by its parts
 * @param seconds searched for
 */
public record PlanAnswer(List<Job> jobs, List<Unmet> unmet, List<Term> terms, double seconds, boolean valid) {
    /** One job; what it does not have is null. */
    public record Job(
            String id,
            String what,
            String battery,
            @Nullable String machine,
            @Nullable String shift,
            @Nullable String charger,
            @Nullable String person,
            Instant start,
            Instant end,
            boolean pinned,
            String reason) {}

    /** A need that is not met: a shift of a machine, or care of a battery. */
    public record Unmet(
            @Nullable String machine,
            @Nullable String shift,
            @Nullable String battery,
            @Nullable String due,
            Instant since,
            String why) {}

    /** One part of what a plan costs. */
    public record Term(String name, double weight, double amount, double cost) {}

    public static PlanAnswer of(Plan plan, Words words) {
        return new PlanAnswer(
                plan.jobs().stream().map(job -> job(job, words)).toList(),
                plan.unmet().stream()
                        .map(un -> new Unmet(
                                un.machine(),
                                un.shift(),
                                un.battery(),
                                un.due() == null ? null : un.due().word(),
                                un.since(),
                                words.say(un.why())))
                        .toList(),
                plan.terms().stream()
                        .map(term -> new Term(term.term().word(), term.weight(), term.amount(), term.cost()))
                        .toList(),
                plan.seconds(),
                plan.valid());
    }

    private static Job job(PlanJob job, Words words) {
        return new Job(
                job.id(),
                job.what().word(),
                job.battery(),
                job.machine(),
                job.shift(),
                job.charger(),
                job.person(),
                job.start(),
                job.end(),
                job.pinned(),
                job.reason() == null ? "" : words.say(job.reason()));
    }
}
