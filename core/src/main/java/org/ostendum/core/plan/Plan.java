package org.ostendum.core.plan;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.check.PlanChecker;
import org.ostendum.core.plan.room.Task;

/**
 * What is done when, and what cannot be.
 *
 * @param jobs in the order of their beginning
 * @param unmet what the plan leaves undone
 * @param terms what it costs, by its parts
 * @param seconds searched for
 * @param valid whether {@link PlanChecker} has found nothing against it
 */
public record Plan(List<PlanJob> jobs, List<Unmet> unmet, List<TermCost> terms, double seconds, boolean valid) {
    public static final Comparator<PlanJob> BY_TIME =
            Comparator.comparing(PlanJob::start).thenComparing(PlanJob::what).thenComparing(PlanJob::id);

    /** Fewer shifts without a battery first, then less cost. */
    public static final Comparator<Plan> BETTER_FIRST =
            Comparator.comparingLong(Plan::shiftsUnmet).thenComparingDouble(Plan::cost);

    public Plan {
        jobs = jobs.stream().sorted(BY_TIME).toList();
        unmet = List.copyOf(unmet);
        terms = List.copyOf(terms);
    }

    /**
     * A need that is not met.
     *
     * @param machine that stands without a battery; null for care left undone
     * @param shift of the machine
     * @param battery whose care is left undone; null for a machine
     * @param due the care
     * @param since the beginning of the shift, or when the care falls due at the latest
     */
    public record Unmet(
            @Nullable String machine,
            @Nullable String shift,
            @Nullable String battery,
            @Nullable Task due,
            Instant since,
            Message why) {
        public boolean isShift() {
            return machine != null;
        }
    }

    /**
     * A part of what a plan costs.
     *
     * @param amount in the unit of the term
     * @param cost weight times amount
     */
    public record TermCost(Term term, double weight, double amount, double cost) {}

    /** @return all of it, in the site's money or what weighs as much */
    public double cost() {
        return terms.stream().mapToDouble(TermCost::cost).sum();
    }

    public double amount(Term term) {
        return terms.stream()
                .filter(t -> t.term() == term)
                .mapToDouble(TermCost::amount)
                .sum();
    }

    public Stream<PlanJob> jobs(Task what) {
        return jobs.stream().filter(job -> job.what() == what);
    }

    /** @return shifts for which there is no battery */
    public long shiftsUnmet() {
        return unmet.stream().filter(Unmet::isShift).count();
    }

    public Plan with(List<TermCost> costs, double searched, boolean checked) {
        return new Plan(jobs, unmet, costs, searched, checked);
    }
}
