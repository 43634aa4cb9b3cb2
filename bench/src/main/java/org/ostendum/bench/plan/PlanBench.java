package org.ostendum.bench.plan;

import java.io.PrintStream;
import java.util.List;
import java.util.Locale;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.make.PlanMaker;
import org.ostendum.planner.PlanSearch;
import org.ostendum.sim.room.RoomMaker;

/** Rooms of growing size, planned by the rule of thumb and by the search within the same run. Seeds from 9000 on were not used in tuning. */
public final class PlanBench {
    private static final int REPORTED_SEED = 9000;

    private static final List<RoomMaker.Size> SIZES = List.of(
            new RoomMaker.Size(10, 1, false),
            new RoomMaker.Size(10, 3, true),
            new RoomMaker.Size(30, 7, false),
            new RoomMaker.Size(30, 7, true),
            new RoomMaker.Size(100, 7, false),
            new RoomMaker.Size(100, 7, true),
            new RoomMaker.Size(300, 2, true),
            new RoomMaker.Size(1000, 2, false),
            new RoomMaker.Size(1000, 2, true));

    private PlanBench() {}

    /** @param seconds to search for in each room */
    public static void run(int seconds, PrintStream out) {
        out.println("batteries days       | rule of thumb                     | search of " + seconds + " s");
        out.println("                     |  unmet     cost  energy  first s  |  unmet     cost  energy   of thumb   in all s");
        for (RoomMaker.Size size : SIZES) {
            line(RoomMaker.make(size, seconds, REPORTED_SEED), size, out);
        }
    }

    private static void line(PlanProblem problem, RoomMaker.Size size, PrintStream out) {
        long began = System.nanoTime();
        Plan thumb = PlanMaker.byRuleOfThumb(problem);
        double first = (System.nanoTime() - began) / 1e9;
        began = System.nanoTime();
        Plan found = PlanSearch.timed(problem).run(progress -> {});
        double all = (System.nanoTime() - began) / 1e9;
        out.printf(
                Locale.ROOT,
                "%9d %4d  %-5s | %6d %8.0f %7.0f %8.2f  | %6d %8.0f %7.0f %9.1f%% %9.1f%n",
                size.batteries(),
                size.days(),
                size.tight() ? "tight" : "loose",
                thumb.shiftsUnmet(),
                thumb.cost(),
                thumb.amount(Term.ENERGY),
                first,
                found.shiftsUnmet(),
                found.cost(),
                found.amount(Term.ENERGY),
                100 * found.cost() / thumb.cost(),
                all);
        for (Term term : Term.values()) {
            out.printf(Locale.ROOT, " %s %.0f/%.0f", term.word(), thumb.amount(term), found.amount(term));
        }
        out.println();
    }

}
