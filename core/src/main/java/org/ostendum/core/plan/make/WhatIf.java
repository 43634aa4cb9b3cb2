package org.ostendum.core.plan.make;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanDifference;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.Task;

/** What would be if one charge ran elsewhere or at another time: the plan put together anew with that one decision changed. */
public final class WhatIf {
    private static final int ELSEWHERE = 3;
    private static final Duration NEAR = Duration.ofMinutes(15);

    private final PlanProblem problem;
    private final Plan plan;
    private final Decisions decisions;

    /** @param plan of the problem */
    public WhatIf(PlanProblem problem, Plan plan) {
        this.problem = problem;
        this.plan = plan;
        this.decisions = Decisions.of(problem, plan);
    }

    /**
     * One other way.
     *
     * @param job as it would be
     * @param plan as it would be
     */
    public record Other(PlanJob job, Plan plan, PlanDifference difference) {}

    /** @return other ways for a charge: at once, at the next cheaper hour, on other chargers; the cheapest first */
    public List<Other> others(PlanJob charge) {
        String charger = charge.charger();
        if (charge.what() != Task.CHARGE || charge.pinned() || charger == null) {
            return List.of();
        }
        List<Other> others = new ArrayList<>();
        Instant free = freeFrom(charge);
        at(charge, charger, free).ifPresent(others::add);
        problem.tariff().stream()
                .map(Price::start)
                .filter(start -> start.isAfter(charge.start()))
                .findFirst()
                .flatMap(later -> at(charge, charger, later))
                .ifPresent(others::add);
        new PlanLookup(problem)
                .chargersFor(charge.battery()).keySet().stream()
                        .filter(code -> !code.equals(charger))
                        .limit(ELSEWHERE)
                        .forEach(code -> at(charge, code, charge.start()).ifPresent(others::add));
        others.sort(Comparator.comparing((Other other) -> other.difference().unmet())
                .thenComparing(other -> other.difference().cost()));
        return others;
    }

    private Instant freeFrom(PlanJob charge) {
        return plan.jobs().stream()
                .filter(job -> job.battery().equals(charge.battery())
                        && !job.end().isAfter(charge.start())
                        && job.what() == Task.USE)
                .map(PlanJob::end)
                .max(Comparator.naturalOrder())
                .filter(end -> end.isAfter(problem.from()))
                .orElse(problem.from());
    }

    /** @return how it would be with the charge there and then; empty where it cannot be, or is so already */
    public Optional<Other> at(PlanJob charge, String charger, Instant start) {
        Map<String, Decisions.Charge> charges = new HashMap<>(decisions.charges());
        Optional<String> key = key(charge);
        if (key.isEmpty()) {
            return Optional.empty();
        }
        charges.put(key.get(), new Decisions.Charge(charger, start));
        Plan other = PlanMaker.make(problem, decisions.withCharges(charges));
        return other.jobs(Task.CHARGE)
                .filter(job -> job.battery().equals(charge.battery()) && charger.equals(job.charger()))
                .filter(job -> Duration.between(start, job.start()).abs().compareTo(NEAR) <= 0)
                .filter(job -> !(job.start().equals(charge.start()) && charger.equals(charge.charger())))
                .findFirst()
                .map(job -> new Other(job, other, PlanDifference.between(plan, other)));
    }

    private Optional<String> key(PlanJob charge) {
        return decisions.charges().entrySet().stream()
                .filter(entry -> entry.getValue().notBefore().equals(charge.start())
                        && Objects.equals(entry.getValue().charger(), charge.charger())
                        && isOf(entry.getKey(), charge.battery()))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    private boolean isOf(String key, String battery) {
        return key.equals(Decisions.first(battery))
                || battery.equals(decisions.batteries().get(key));
    }
}
