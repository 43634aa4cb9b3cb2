package org.ostendum.bench.accuracy;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.sim.Fault;

/**
 * How well the judge does on simulated lives: {@code bench judge [batteries] [first seed]}. Seeds below one
 * million are for tuning; what is reported comes from seeds above it.
 */
public final class JudgeAccuracy {
    /** A fault that shows only in the last days of a life is not held against anybody. */
    private static final int DAYS_TO_CALL = 120;
    /** Points by which samples from the top truly lie below the mixed acid when layers are no invention. */
    private static final double TRULY_LAYERED = 6;
    /** Statements of what somebody saw or did: true by themselves. */
    private static final Set<FindingCode> OBSERVED = EnumSet.of(
            FindingCode.CELL_DRY,
            FindingCode.CELL_OVERFILLED,
            FindingCode.CELL_COLOUR,
            FindingCode.READING_UNRELIABLE,
            FindingCode.READING_IMPOSSIBLE);

    private final Map<FindingCode, Score> scores = new TreeMap<>();
    private final Map<String, Map<String, Integer>> confusion = new TreeMap<>();
    private final List<Integer> leads = new ArrayList<>();
    private final List<Trial.Forecasted> forecasts = new ArrayList<>();
    private double healthyYears;
    private int falseAlarms;
    private int tableAlarms;
    private int tableMissed;
    private int judgeMissed;
    private int slips;
    private int slipsCaught;
    private int slipsImagined;

    private static final class Score {
        int hit;
        int missed;
        int wrong;
        final List<Integer> days = new ArrayList<>();
    }

    private JudgeAccuracy() {}

    /** @param firstSeed of {@code batteries} in a row */
    public static void run(int batteries, long firstSeed) {
        long began = System.nanoTime();
        List<Trial> trials = LongStream.range(firstSeed, firstSeed + batteries)
                .parallel()
                .mapToObj(Trial::run)
                .toList();
        JudgeAccuracy accuracy = new JudgeAccuracy();
        trials.forEach(accuracy::count);
        accuracy.print(batteries, firstSeed, (System.nanoTime() - began) / 1_000_000_000);
    }

    private Score score(FindingCode code) {
        return scores.computeIfAbsent(code, c -> new Score());
    }

    private void count(Trial trial) {
        if (trial.member.isHealthy()) {
            healthyYears += trial.years();
            tableAlarms += trial.table.size();
        }
        slips += trial.slips;
        slipsCaught += trial.slipsCaught;
        slipsImagined += trial.slipsImagined;
        forecasts.addAll(trial.forecasts);
        trial.member.faults().forEach(fault -> countFault(trial, fault));
        trial.calls.forEach((call, day) -> countCall(trial, call, day));
    }

    private void countFault(Trial trial, Fault fault) {
        FindingCode code = Truth.code(fault, trial.member);
        int seen = Truth.seenFrom(fault, trial.member, trial.life);
        if (code == null || seen < 0) {
            return;
        }
        int seenDay = trial.life.truths().get(seen).day();
        if (seenDay > trial.lastDay || seenDay > Population.DAYS - DAYS_TO_CALL) {
            return;
        }
        int cell = Truth.cell(fault);
        @Nullable Integer called = trial.calls.get(new Trial.Call(code, cell));
        boolean hit = called != null && called >= fault.fromDay();
        if (hit) {
            score(code).hit++;
            score(code).days.add(called - seenDay);
        } else {
            score(code).missed++;
            trace("missed", trial, code + " cell " + cell + " seen " + seenDay + " last " + trial.lastDay);
        }
        confuse(trial, fault, code, cell, hit);
        if (isBadCell(fault)) {
            compareWithTable(trial, fault, cell);
        }
    }

    private static boolean isBadCell(Fault fault) {
        return Truth.cell(fault) > 0 && !(fault instanceof Fault.DryingCell);
    }

    /** When a cell was first called by any name, beside the day on which the table called it. */
    private void compareWithTable(Trial trial, Fault fault, int cell) {
        int judge = trial.calls.entrySet().stream()
                .filter(e -> e.getKey().cell() == cell && e.getValue() >= fault.fromDay())
                .filter(e -> !OBSERVED.contains(e.getKey().code()) && e.getKey().code() != FindingCode.CELL_THIRSTY)
                .mapToInt(Map.Entry::getValue)
                .min()
                .orElse(Integer.MAX_VALUE);
        int table = trial.table.getOrDefault(cell, Integer.MAX_VALUE);
        if (judge == Integer.MAX_VALUE) {
            judgeMissed++;
        } else if (table == Integer.MAX_VALUE) {
            tableMissed++;
        } else if (table >= fault.fromDay()) {
            leads.add(table - judge);
            trace("lead", trial, (table - judge) + " by the judge on day " + judge + " of");
        }
    }

    private void confuse(Trial trial, Fault fault, FindingCode code, int cell, boolean hit) {
        String called = hit
                ? code.code()
                : trial.calls.entrySet().stream()
                        .filter(e ->
                                e.getValue() >= fault.fromDay() && e.getKey().cell() == cell)
                        .filter(e -> !OBSERVED.contains(e.getKey().code()))
                        .map(e -> e.getKey().code().code())
                        .sorted()
                        .findFirst()
                        .orElse("nothing");
        confusion
                .computeIfAbsent(fault.getClass().getSimpleName() + " → " + code.code(), k -> new TreeMap<>())
                .merge(called, 1, Integer::sum);
    }

    private void countCall(Trial trial, Trial.Call call, int day) {
        if (OBSERVED.contains(call.code()) || isExplained(trial, call, day)) {
            return;
        }
        score(call.code()).wrong++;
        if (trial.member.isHealthy()) {
            falseAlarms++;
        }
        trace("wrong", trial, call + " day " + day);
    }

    /** {@code -Dtrace=true} tells each miss and each wrong call. */
    private static void trace(String what, Trial trial, String which) {
        if (Boolean.getBoolean("trace")) {
            Population.Member member = trial.member;
            System.out.println(what + " " + member.seed() + " " + which + " " + member.faults() + " " + member.site()
                    + " " + member.model().code());
        }
    }

    private static boolean isExplained(Trial trial, Trial.Call call, int day) {
        for (Fault fault : trial.member.faults()) {
            int cell = Truth.cell(fault);
            if (day >= fault.fromDay()) {
                boolean own = Truth.code(fault, trial.member) == call.code();
                boolean follows = Truth.consequences(fault).contains(call.code());
                if ((own || follows) && (call.cell() == cell || call.cell() == 0)) {
                    return true;
                }
                if (fault instanceof Fault.Tap tap && call.cell() >= tap.firstCell() && call.cell() <= tap.lastCell()) {
                    return call.code() == FindingCode.CELL_WEAK;
                }
            }
        }
        if (call.code() == FindingCode.BATTERY_STRATIFIED && trial.layered(day) >= TRULY_LAYERED) {
            return true;
        }
        return call.code() == FindingCode.BATTERY_UNEVEN && trial.trueSpread(day, Set.of()) >= 150;
    }

    private void print(int batteries, long firstSeed, long seconds) {
        System.out.printf(
                "%d batteries, seeds %d to %d, %.0f healthy battery-years, %d s%n%n",
                batteries, firstSeed, firstSeed + batteries - 1, healthyYears, seconds);
        System.out.printf(
                "%-22s %6s %7s %6s %8s %10s %6s%n", "code", "hit", "missed", "wrong", "recall", "precision", "days");
        double recalls = 0;
        double precisions = 0;
        int counted = 0;
        for (Map.Entry<FindingCode, Score> entry : scores.entrySet()) {
            Score s = entry.getValue();
            double recall = s.hit + s.missed == 0 ? Double.NaN : s.hit / (double) (s.hit + s.missed);
            double precision = s.hit + s.wrong == 0 ? Double.NaN : s.hit / (double) (s.hit + s.wrong);
            System.out.printf(
                    "%-22s %6d %7d %6d %8.3f %10.3f %6s%n",
                    entry.getKey().code(), s.hit, s.missed, s.wrong, recall, precision, median(s.days));
            if (s.hit + s.missed > 0) {
                recalls += recall;
                precisions += Double.isNaN(precision) ? 0 : precision;
                counted++;
            }
        }
        System.out.printf("%nmacro recall %.3f, macro precision %.3f%n", recalls / counted, precisions / counted);
        System.out.printf(
                "false alarms per healthy battery-year: judge %.4f, fixed table %.3f%n",
                falseAlarms / healthyYears, tableAlarms / healthyYears);
        System.out.printf(
                "bad cells: called %s days (median) before the table over %d; never by the table %d, never by the judge %d%n",
                median(leads), leads.size(), tableMissed, judgeMissed);
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
        System.out.printf(
                "slips of the pen: %d of %d caught, %d sound readings doubted%n%n", slipsCaught, slips, slipsImagined);
        confusion.forEach((fault, called) -> System.out.println(fault + "  " + called));
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
