package org.ostendum.bench;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.util.Arrays;
import java.util.List;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.ostendum.bench.accuracy.ChargeAccuracy;
import org.ostendum.bench.accuracy.ComplaintBench;
import org.ostendum.bench.accuracy.JudgeAccuracy;
import org.ostendum.bench.plan.PlanBench;
import org.ostendum.bench.plan.WeeksBench;
import org.slf4j.LoggerFactory;

/**
 * {@code ./ostendum bench [verdict] [pages] [judge] [charge] [import] [devices] [samples] [load] [schools] [plan] [weeks] [complaints] [N …]}: the first two by default. N are numbers of batteries,
 * 200 and 2000 for the pages; for {@code judge} and {@code charge} the number simulated, 2000 and 300, and the first seed, for {@code judge} also how
 * many of each other kind of site, 400; for {@code import} the
 * readings, a million; for {@code devices} the chargers, 500, and how many times as fast as in life, 5; for {@code samples} the
 * batteries, 500; for {@code load} the seconds, 600; for {@code plan} the seconds that each room is searched for, 20; for
 * {@code weeks} how many, 200, the first seed, and the steps of a search, 16,000.
 */
public final class Bench {
    private static final int SIMULATED = 2000;
    /** Of each other condition. */
    private static final int SIMULATED_OTHERWISE = 400;

    private static final int SIMULATED_CHARGES = 300;
    private static final int READINGS = 1_000_000;
    private static final int CHARGERS = 500;
    private static final int SPEED = 5;
    private static final int PLAN_SECONDS = 20;
    private static final int STEPS_OF_WEEKS = 16_000;
    private static final int WEEKS = 200;
    private static final int COMPLAINTS = 5000;
    private static final int LOAD_SECONDS = 600;
    /** Seeds below it were used for tuning. */
    private static final int REPORTED_SEEDS = 4_000_000;
    /** The same for weeks. */
    private static final int REPORTED_WEEKS = 7000;
    /** The same for complaints. */
    private static final int REPORTED_COMPLAINTS = 6_000_000;
    /** The same for charges. */
    private static final int REPORTED_CHARGES = 5_000_000;

    private Bench() {}

    public static void main(String[] arguments) throws Exception {
        List<String> asked = Arrays.asList(arguments);
        int[] numbers = asked.stream()
                .filter(a -> a.matches("\\d+"))
                .mapToInt(Integer::parseInt)
                .toArray();
        if (asked.contains("judge")) {
            JudgeAccuracy.run(
                    numbers.length > 0 ? numbers[0] : SIMULATED,
                    numbers.length > 1 ? numbers[1] : REPORTED_SEEDS,
                    numbers.length > 2 ? numbers[2] : SIMULATED_OTHERWISE);
            return;
        }
        if (asked.contains("charge")) {
            ChargeAccuracy.run(
                    numbers.length > 0 ? numbers[0] : SIMULATED_CHARGES,
                    numbers.length > 1 ? numbers[1] : REPORTED_CHARGES);
            return;
        }
        // Each of thousands of searches would tell its beginning and its end.
        ((Logger) LoggerFactory.getLogger("ai.timefold")).setLevel(Level.WARN);
        if (asked.contains("schools")) {
            SchoolBench.run(System.out);
            return;
        }
        if (asked.contains("plan")) {
            PlanBench.run(numbers.length > 0 ? numbers[0] : PLAN_SECONDS, System.out);
            return;
        }
        if (asked.contains("weeks")) {
            WeeksBench.run(
                    numbers.length > 0 ? numbers[0] : WEEKS,
                    numbers.length > 1 ? numbers[1] : REPORTED_WEEKS,
                    numbers.length > 2 ? numbers[2] : STEPS_OF_WEEKS,
                    System.out);
            return;
        }
        if (asked.contains("complaints")) {
            ComplaintBench.run(numbers.length > 0 ? numbers[0] : COMPLAINTS, REPORTED_COMPLAINTS, System.out);
            return;
        }
        if (asked.contains("import")) {
            ImportBench.run(numbers.length > 0 ? numbers[0] : READINGS);
            return;
        }
        if (asked.contains("devices")) {
            DevicesBench.run(numbers.length > 0 ? numbers[0] : CHARGERS, numbers.length > 1 ? numbers[1] : SPEED);
            return;
        }
        if (asked.contains("samples")) {
            SampleBench.run(numbers.length > 0 ? numbers[0] : CHARGERS);
            return;
        }
        if (asked.contains("load")) {
            LoadBench.run(numbers.length > 0 ? numbers[0] : LOAD_SECONDS);
            return;
        }
        boolean all = !asked.contains("verdict") && !asked.contains("pages");
        if (all || asked.contains("verdict")) {
            new Runner(new OptionsBuilder()
                            .include(JudgeBenchmark.class.getSimpleName())
                            .include(FoldBenchmark.class.getSimpleName())
                            .include(SimulationBenchmark.class.getSimpleName())
                            .build())
                    .run();
        }
        if (all || asked.contains("pages")) {
            PageBench.run(numbers.length == 0 ? new int[] {200, 2000} : numbers);
        }
    }
}
