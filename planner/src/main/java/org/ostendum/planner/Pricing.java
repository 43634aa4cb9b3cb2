package org.ostendum.planner;

import java.time.Duration;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.cost.EnergyPrice;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.cost.Uncharged;

/** What things cost the search, in hundredths of the site's money: prices by the minute and the weights of the terms. */
final class Pricing {
    private static final double HUNDREDTHS = 100;
    /** Charges that begin before the end may go on after it. */
    private static final int BEYOND_MINUTES = 3 * 1440;

    private final double[] sums;
    private final long[] changes;
    private final Map<Term, Double> weights = new EnumMap<>(Term.class);
    private final long until;
    private final double wattsMost;
    private final double kwReached;
    private final double millilitresMost;
    private final List<Double> litresOfAirs;

    Pricing(PlanProblem problem) {
        for (Term term : Term.values()) {
            weights.put(term, PlanCosts.weight(problem, term));
        }
        until = Duration.between(problem.from(), problem.until()).toSeconds();
        kwReached = problem.room().kwReached();
        wattsMost = most(problem.room().kwMost());
        millilitresMost = most(problem.room().litresPerHourMost());
        litresOfAirs = List.copyOf(problem.room().airs().values());
        int minutes = (int) (until / 60) + BEYOND_MINUTES;
        changes = problem.tariff().stream()
                .mapToLong(one -> Duration.between(problem.from(), one.start()).toSeconds())
                .toArray();
        EnergyPrice price = new EnergyPrice(problem.tariff());
        sums = new double[minutes + 1];
        for (int minute = 0; minute < minutes; minute++) {
            sums[minute + 1] = sums[minute]
                    + price.hoursTimesPrice(
                            problem.from().plusSeconds(60L * minute),
                            problem.from().plusSeconds(60L * minute + 60));
        }
    }

    private static double most(@Nullable Double limit) {
        return limit == null ? Double.POSITIVE_INFINITY : 1000 * limit;
    }

    long weigh(Term term, double amount) {
        return Math.round(HUNDREDTHS * weights.getOrDefault(term, 0.0) * amount);
    }

    long energy(WorkAndCharge work) {
        if (!work.isCharged()) {
            return 0;
        }
        double hours = sum(work.chargeEnd()) - sum(work.chargeStart());
        return weigh(Term.ENERGY, work.getOutlet().kw() * hours);
    }

    /** What has been reached before is paid anyhow. */
    long peak(double watts) {
        return weigh(Term.PEAK, Math.max(kwReached, watts / 1000));
    }

    private double sum(long seconds) {
        return sums[(int) Math.max(0, Math.min(sums.length - 1, seconds / 60))];
    }

    /** @return whether the battery would be left without a charge that belongs to this plan */
    boolean isLeft(WorkAndCharge work) {
        return work.isWorked() && !work.isCharged() && work.end + Uncharged.LEFT_TO_NEXT.toSeconds() < until;
    }

    /** @return when another price begins */
    long[] changes() {
        return changes;
    }

    long until() {
        return until;
    }

    double wattsMost() {
        return wattsMost;
    }

    double millilitresMost() {
        return millilitresMost;
    }

    /** @return what each air carries off, in the order of the problem */
    DoubleStream millilitresOfAirs() {
        return litresOfAirs.stream().mapToDouble(Pricing::most);
    }
}
