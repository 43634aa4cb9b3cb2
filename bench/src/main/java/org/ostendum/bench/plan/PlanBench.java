package org.ostendum.bench.plan;

import java.io.PrintStream;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.core.plan.room.PlanSite;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;
import org.ostendum.planner.PlanSearch;
import org.ostendum.sim.room.RoomMaker;

/**
 * Rooms of growing size, planned by the rule of thumb and by the search within the same run; small ones beside a proved bound; and
 * planned anew after a charger broke. Seeds from 9100 on were not used in tuning.
 */
public final class PlanBench {
    private static final int REPORTED_SEED = 9100;
    private static final int PATIENCE = 6;
    private static final double NEAR = 1.02;
    private static final int AGAIN_SECONDS = 1;

    private static final List<RoomMaker.Size> SIZES = List.of(
            new RoomMaker.Size(10, 3, false),
            new RoomMaker.Size(30, 7, false),
            new RoomMaker.Size(30, 7, true),
            new RoomMaker.Size(100, 7, false),
            new RoomMaker.Size(100, 7, true),
            new RoomMaker.Size(300, 2, true),
            new RoomMaker.Size(1000, 2, false),
            new RoomMaker.Size(1000, 2, true));

    private static final List<RoomMaker.Size> BOUNDED = List.of(
            new RoomMaker.Size(10, 1, false),
            new RoomMaker.Size(10, 2, true),
            new RoomMaker.Size(20, 2, false),
            new RoomMaker.Size(20, 3, true),
            new RoomMaker.Size(30, 2, false),
            new RoomMaker.Size(30, 3, true),
            new RoomMaker.Size(100, 7, false),
            new RoomMaker.Size(100, 7, true));

    private PlanBench() {}

    /** @param seconds to search for in each room */
    public static void run(int seconds, PrintStream out) {
        out.println("Beside the rule of thumb");
        out.println("batteries days       | rule of thumb                    | search of " + seconds + " s");
        out.println(
                "                     | unmet     cost  energy  first s  | unmet     cost  energy  of thumb   all s");
        SIZES.forEach(size -> beside(RoomMaker.make(size, seconds, REPORTED_SEED), size, out));
        out.println();
        out.println("Beside a proved bound, of unmet shifts, uncharged batteries and energy alone");
        out.println("batteries days       |    thumb   search    bound    gap  within a fiftieth after s");
        BOUNDED.forEach(size -> bound(RoomMaker.make(size, seconds, REPORTED_SEED + 1), size, seconds, out));
        out.println();
        out.println("Planned anew within " + AGAIN_SECONDS + " s after a charger broke");
        out.println("batteries days       |  seconds   untouched jobs  moved of them");
        SIZES.forEach(size -> again(RoomMaker.make(size, AGAIN_SECONDS, REPORTED_SEED + 2), size, out));
    }

    private static String name(RoomMaker.Size size) {
        return String.format(
                Locale.ROOT, "%9d %4d  %-5s", size.batteries(), size.days(), size.tight() ? "tight" : "loose");
    }

    private static double seconds(long began) {
        return (System.nanoTime() - began) / 1e9;
    }

    private static void beside(PlanProblem problem, RoomMaker.Size size, PrintStream out) {
        long began = System.nanoTime();
        Plan thumb = PlanMaker.byRuleOfThumb(problem);
        double first = seconds(began);
        began = System.nanoTime();
        Plan found = PlanSearch.timed(problem).run(progress -> {});
        out.printf(
                Locale.ROOT,
                "%s | %5d %8.0f %7.0f %8.2f  | %5d %8.0f %7.0f %8.1f%% %7.1f%n",
                name(size),
                thumb.shiftsUnmet(),
                thumb.cost(),
                thumb.amount(Term.ENERGY),
                first,
                found.shiftsUnmet(),
                found.cost(),
                found.amount(Term.ENERGY),
                100 * found.cost() / thumb.cost(),
                seconds(began));
    }

    /** The other terms weigh nothing and nothing falls due, for plan and bound alike. */
    private static void bound(PlanProblem made, RoomMaker.Size size, int seconds, PrintStream out) {
        Map<Term, Double> weights = new EnumMap<>(Term.class);
        for (Term term : Term.values()) {
            boolean counts = term == Term.UNMET || term == Term.UNCHARGED || term == Term.ENERGY;
            weights.put(term, counts ? term.usualWeight() : 0);
        }
        PlanProblem problem = made.withWeights(weights).with(PlanBench::withoutCare);
        double thumb = PlanMaker.byRuleOfThumb(problem).cost();
        long began = System.nanoTime();
        NavigableMap<Double, Double> way = new TreeMap<>();
        double found = PlanSearch.timed(problem)
                .run(progress ->
                        way.put(seconds(began), Term.UNMET.usualWeight() * progress.shiftsUnmet() + progress.cost()))
                .cost();
        Bound.Found bound = Bound.of(problem, PATIENCE * seconds);
        boolean isBound = bound.cost() > 0;
        out.printf(
                Locale.ROOT,
                "%s | %8.1f %8.1f %8s %6s %6s%s%n",
                name(size),
                thumb,
                found,
                isBound ? String.format(Locale.ROOT, "%.1f", bound.cost()) : "none",
                isBound ? String.format(Locale.ROOT, "%.1f%%", 100 * (found - bound.cost()) / bound.cost()) : "",
                near(way, NEAR * bound.cost()),
                bound.proved() ? " (the optimum of what is left to keep to)" : "");
    }

    private static PlanSite withoutCare(PlanSite site) {
        return site.withBatteries(
                site.batteries().stream().map(PoolBattery::withoutCare).toList());
    }

    /** @return seconds after which the search had found what costs no more than that */
    private static String near(NavigableMap<Double, Double> way, double cost) {
        return way.entrySet().stream()
                .filter(found -> found.getValue() <= cost)
                .findFirst()
                .map(found -> String.format(Locale.ROOT, "%.1f", found.getKey()))
                .orElse("not");
    }

    private static void again(PlanProblem problem, RoomMaker.Size size, PrintStream out) {
        Plan inForce = PlanSearch.timed(problem).run(progress -> {});
        String dead =
                inForce.jobs(Task.CHARGE).map(PlanJob::charger).findFirst().orElseThrow();
        long began = System.nanoTime();
        Plan again = PlanSearch.timed(
                        problem.after(inForce, charger -> charger.code().equals(dead)))
                .disturbingLittle()
                .run(progress -> {});
        double took = seconds(began);
        long touched = inForce.jobs(Task.CHARGE)
                .filter(job -> dead.equals(job.charger()))
                .count();
        long untouched =
                inForce.jobs(Task.CHARGE).count() + inForce.jobs(Task.USE).count() - touched;
        double moved = Math.max(0, again.amount(Term.MOVED) - touched);
        out.printf(
                Locale.ROOT,
                "%s | %8.1f %16d %6.0f (%.1f%%)%n",
                name(size),
                took,
                untouched,
                moved,
                100 * moved / untouched);
    }
}
