package org.ostendum.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.room.Task;

/**
 * In what one plan differs from another, in sentences, the weightiest first.
 *
 * @param cost how much more the second costs, unmet shifts left out
 * @param unmet how many more shifts are without a battery
 */
public record PlanDifference(double cost, int unmet, List<Message> told) {
    private static final Duration NOTEWORTHY = Duration.ofMinutes(15);

    public PlanDifference {
        told = List.copyOf(told);
    }

    public static PlanDifference between(Plan before, Plan after) {
        List<Message> told = new ArrayList<>();
        lost(before, after, "plan.differs.lost").forEach(told::add);
        lost(after, before, "plan.differs.won").forEach(told::add);
        uses(before, after).forEach(told::add);
        charges(before, after).forEach(told::add);
        double cost = costWithoutUnmet(after) - costWithoutUnmet(before);
        return new PlanDifference(cost, (int) (after.shiftsUnmet() - before.shiftsUnmet()), told);
    }

    public boolean isNothing() {
        return told.isEmpty();
    }

    private static double costWithoutUnmet(Plan plan) {
        return plan.terms().stream()
                .filter(term -> term.term() != Term.UNMET && term.term() != Term.MOVED)
                .mapToDouble(Plan.TermCost::cost)
                .sum();
    }

    private static List<Message> lost(Plan had, Plan has, String key) {
        Set<String> then = had.unmet().stream().map(PlanDifference::need).collect(Collectors.toSet());
        return has.unmet().stream()
                .filter(un -> un.isShift() && !then.contains(need(un)))
                .map(un -> Message.of(key, Objects.requireNonNull(un.machine()), un.since()))
                .toList();
    }

    private static String need(Plan.Unmet un) {
        return un.machine() + " " + un.shift();
    }

    private static List<Message> uses(Plan before, Plan after) {
        Map<String, PlanJob> was = new LinkedHashMap<>();
        before.jobs(Task.USE).forEach(job -> was.put(job.machine() + " " + job.shift(), job));
        return after.jobs(Task.USE)
                .filter(job -> was.containsKey(job.machine() + " " + job.shift()))
                .filter(job -> !Objects.requireNonNull(was.get(job.machine() + " " + job.shift()))
                        .battery()
                        .equals(job.battery()))
                .map(job -> Message.of(
                        "plan.differs.battery",
                        Objects.requireNonNull(job.machine()),
                        job.start(),
                        job.battery(),
                        Objects.requireNonNull(was.get(job.machine() + " " + job.shift()))
                                .battery()))
                .toList();
    }

    private static List<Message> charges(Plan before, Plan after) {
        List<Message> told = new ArrayList<>();
        after.jobs(Task.CHARGE).forEach(job -> before.jobs(Task.CHARGE)
                .filter(was -> was.battery().equals(job.battery()))
                .min((a, b) -> off(a, job).compareTo(off(b, job)))
                .filter(was -> off(was, job).compareTo(NOTEWORTHY) > 0 || !Objects.equals(was.charger(), job.charger()))
                .ifPresent(was -> told.add(Message.of(
                        "plan.differs.charge", job.battery(), Objects.requireNonNull(job.charger()), job.start()))));
        return told;
    }

    private static Duration off(PlanJob one, PlanJob other) {
        return Duration.between(one.start(), other.start()).abs();
    }
}
