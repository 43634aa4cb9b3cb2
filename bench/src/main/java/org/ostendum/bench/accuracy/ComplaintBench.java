package org.ostendum.bench.accuracy;

import java.io.PrintStream;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.LongStream;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.WorkUp;
import org.ostendum.sim.complaint.HiddenCause;

/** Complaints with hidden causes, worked up look by look and by a checklist that goes through the same looks in a fixed order. */
public final class ComplaintBench {
    /** From the driver and the outside in, as a good checklist has it. */
    private static final List<Look> CHECKLIST = List.of(
            Look.ASK_WORK,
            Look.TOP,
            Look.STRAY_VOLTS,
            Look.LEVELS,
            Look.CONNECTIONS,
            Look.DROP_AT_JOINTS,
            Look.WARMTH,
            Look.VOLTS_AT_REST,
            Look.GRAVITIES,
            Look.CHARGES_ON_RECORD,
            Look.CHARGER_STARTS,
            Look.CHARGER_AMPS,
            Look.ANOTHER_CHARGER,
            Look.LOAD,
            Look.MACHINE_AMPS,
            Look.ANOTHER_BATTERY,
            Look.AFTER_FULL_CHARGE,
            Look.CAPACITY_TEST);

    private ComplaintBench() {}

    /** @param many complaints; each reads its cause off when one is as good as certain, or nothing is left to look at */
    public static void run(int many, long firstSeed, PrintStream out) {
        out.printf(Locale.ROOT, "%d complaints%n", many);
        line("look by look", many, firstSeed, ComplaintBench::worked, out);
        line("checklist, ended when certain", many, firstSeed, ComplaintBench::listed, out);
        line("checklist to its end", many, firstSeed, ComplaintBench::listedToTheEnd, out);
    }

    private static WorkUp worked(HiddenCause hidden) {
        WorkUp workUp = WorkUp.of(hidden.complaint());
        while (!workUp.isDone()) {
            Look look = workUp.next().orElseThrow();
            workUp = workUp.with(look, hidden.shows(look));
        }
        return workUp;
    }

    private static WorkUp listed(HiddenCause hidden) {
        WorkUp workUp = WorkUp.of(hidden.complaint());
        for (Look look : CHECKLIST) {
            if (workUp.isFound()) {
                break;
            }
            workUp = workUp.with(look, hidden.shows(look));
        }
        return workUp;
    }

    private static WorkUp listedToTheEnd(HiddenCause hidden) {
        WorkUp workUp = WorkUp.of(hidden.complaint());
        for (Look look : CHECKLIST) {
            workUp = workUp.with(look, hidden.shows(look));
        }
        return workUp;
    }

    private static void line(
            String name, int many, long firstSeed, Function<HiddenCause, WorkUp> way, PrintStream out) {
        double[] minutes = new double[many];
        long right = LongStream.range(0, many)
                .filter(i -> {
                    HiddenCause hidden = HiddenCause.of(firstSeed + i);
                    WorkUp workUp = way.apply(hidden);
                    minutes[(int) i] = workUp.minutes();
                    return workUp.causes().get(0).cause() == hidden.cause();
                })
                .count();
        double sum = 0;
        for (double one : minutes) {
            sum += one;
        }
        out.printf(Locale.ROOT, "%-32s right %5.1f %%   minutes %5.1f%n", name, 100.0 * right / many, sum / many);
    }
}
