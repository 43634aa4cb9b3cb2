package org.ostendum.bench.accuracy;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.ostendum.core.judge.FindingCode;

/**
 * How well the judge does on simulated lives: {@code bench judge [batteries] [first seed] [batteries of each other condition]}.
 * Seeds below one million are for tuning; what is reported comes from seeds above it.
 */
public final class JudgeAccuracy {
    private JudgeAccuracy() {}

    /**
     * @param batteries of sites as they come, from {@code firstSeed} in a row
     * @param others of each other condition; 0 leaves them out
     */
    public static void run(int batteries, long firstSeed, int others) {
        Map<Condition, Tally> all = new EnumMap<>(Condition.class);
        List<Trial> asTheyCome = lived(Condition.AS_THEY_COME, batteries, firstSeed);
        all.put(Condition.AS_THEY_COME, counted(asTheyCome));
        for (Condition condition : Condition.values()) {
            if (condition != Condition.AS_THEY_COME && others > 0) {
                all.put(condition, counted(lived(condition, others, firstSeed)));
            }
        }
        all.forEach((condition, tally) -> {
            if (condition == Condition.AS_THEY_COME) {
                printWhole(tally);
            }
        });
        // What a kind of site costs is told by the same batteries with the same faults.
        printConditions(all, counted(asTheyCome.subList(0, Math.min(batteries, others))));
        Calibration together = new Calibration();
        all.values().forEach(tally -> together.addAll(tally.calibration));
        printCalibration(together);
    }

    private static List<Trial> lived(Condition condition, int lives, long firstSeed) {
        long began = System.nanoTime();
        List<Trial> trials = LongStream.range(firstSeed, firstSeed + lives)
                .parallel()
                .mapToObj(seed -> Trial.run(seed, condition))
                .toList();
        System.out.printf(
                "%s: %d batteries, seeds %d to %d, %d s%n",
                condition.words(),
                lives,
                firstSeed,
                firstSeed + lives - 1,
                (System.nanoTime() - began) / 1_000_000_000);
        return trials;
    }

    private static Tally counted(List<Trial> trials) {
        Tally tally = new Tally();
        trials.forEach(tally::count);
        return tally;
    }

    private static void printWhole(Tally tally) {
        System.out.printf(
                "%n%-22s %6s %7s %6s %8s %10s %6s%n", "code", "hit", "missed", "wrong", "recall", "precision", "days");
        for (Map.Entry<FindingCode, Tally.Score> entry : tally.scores.entrySet()) {
            Tally.Score s = entry.getValue();
            System.out.printf(
                    "%-22s %6d %7d %6d %8.3f %10.3f %6s%n",
                    entry.getKey().code(), s.hit, s.missed, s.wrong, s.recall(), s.precision(), median(s.days));
        }
        System.out.printf("%n%.0f healthy battery-years", tally.healthyYears);
        System.out.printf("%nmacro recall %.3f, macro precision %.3f%n", tally.recall(), tally.precision());
        System.out.printf("fixed table: %.3f alarms a healthy year%n", tally.perHealthyYear(tally.tableAlarms));
        System.out.printf(
                "bad cells: called %s days (median) before the table over %d; never by the table %d, never by the judge %d%n",
                median(tally.leads), tally.leads.size(), tally.tableMissed, tally.judgeMissed);
        printForecasts(tally.forecasts);
        System.out.printf(
                "slips of the pen: %d of %d caught, %d sound readings doubted%n%n",
                tally.slipsCaught, tally.slips, tally.slipsImagined);
        tally.confusion.forEach((fault, called) -> System.out.println(fault + "  " + called));
    }

    private static void printForecasts(List<Trial.Forecasted> forecasts) {
        long covered = forecasts.stream().filter(Trial.Forecasted::covered).count();
        System.out.printf(
                "forecasts: %.3f of %d cover the true day, median error %s days%n",
                covered / (double) forecasts.size(),
                forecasts.size(),
                median(forecasts.stream().map(f -> Math.abs(f.daysOff())).toList()));
        List<Double> times =
                forecasts.stream().map(Trial.Forecasted::times).sorted().toList();
        System.out.printf(
                "true days ahead ÷ days said: 5 %% %.2f, half %.2f, 95 %% %.2f%n",
                quantile(times, 0.05), quantile(times, 0.5), quantile(times, 0.95));
    }

    private static void printConditions(Map<Condition, Tally> all, Tally sameBatteries) {
        System.out.printf(
                "%n%-44s %7s %10s %10s %10s %12s %7s %9s %12s%n",
                "condition",
                "recall",
                "points lost",
                "precision",
                "false act",
                "false watch",
                "flips",
                "softened",
                "calibration");
        all.forEach((condition, t) -> System.out.printf(
                "%-44s %7.3f %10.1f %10.3f %10.4f %12.4f %7.3f %9d %12.3f%n",
                condition.words(),
                t.recall(),
                condition == Condition.AS_THEY_COME ? 0.0 : 100 * (sameBatteries.recall() - t.recall()),
                t.precision(),
                t.perHealthyYear(t.falseActs),
                t.perHealthyYear(t.falseWatches),
                t.flips / t.years,
                t.softened,
                t.calibration.error()));
    }

    private static void printCalibration(Calibration calibration) {
        System.out.printf("%n%10s %10s %10s%n", "said", "true", "calls");
        calibration.steps().forEach(s -> System.out.printf("%10.3f %10.3f %10d%n", s.said(), s.isTrue(), s.calls()));
        System.out.printf("error %.3f%n%n", calibration.error());
        calibration
                .byCode()
                .forEach((code, s) -> System.out.printf("%-28s true %.3f of %d%n", code, s.isTrue(), s.calls()));
    }

    private static double quantile(List<Double> sorted, double part) {
        return sorted.isEmpty() ? Double.NaN : sorted.get((int) (part * (sorted.size() - 1)));
    }

    private static String median(List<Integer> values) {
        return values.isEmpty()
                ? "–"
                : String.valueOf(values.stream().sorted().toList().get(values.size() / 2));
    }
}
