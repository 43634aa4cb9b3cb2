package org.ostendum.bench.accuracy;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.sim.Fault;

/** What the judge got right and wrong on the lives of one condition. */
final class Tally {
    /** A fault that shows only in the last days of a life is not held against anybody. */
    private static final int DAYS_TO_CALL = 120;
    /** Points by which samples from the top truly lie below the mixed acid when layers are no invention. */
    private static final double TRULY_LAYERED = 6;
    /** Statements of what somebody saw or did: true by themselves. */
    static final Set<FindingCode> OBSERVED = EnumSet.of(
            FindingCode.CELL_DRY,
            FindingCode.CELL_OVERFILLED,
            FindingCode.CELL_COLOUR,
            FindingCode.BATTERY_HOT,
            FindingCode.BATTERY_FREEZING,
            FindingCode.READING_UNRELIABLE,
            FindingCode.READING_IMPOSSIBLE);

    final Map<FindingCode, Score> scores = new TreeMap<>();
    final Map<String, Map<String, Integer>> confusion = new TreeMap<>();
    final List<Integer> leads = new ArrayList<>();
    final List<Trial.Forecasted> forecasts = new ArrayList<>();
    final Calibration calibration = new Calibration();
    double years;
    double healthyYears;
    int falseActs;
    int falseWatches;
    int flips;
    int softened;
    int tableAlarms;
    int tableMissed;
    int judgeMissed;
    int slips;
    int slipsCaught;
    int slipsImagined;

    /** Of one code. */
    static final class Score {
        int hit;
        int missed;
        int wrong;
        final List<Integer> days = new ArrayList<>();

        double recall() {
            return hit + missed == 0 ? Double.NaN : hit / (double) (hit + missed);
        }

        double precision() {
            return hit + wrong == 0 ? Double.NaN : hit / (double) (hit + wrong);
        }
    }

    double recall() {
        return mean(true);
    }

    double precision() {
        return mean(false);
    }

    /** Each code that was planted counts alike. */
    private double mean(boolean recall) {
        return scores.values().stream()
                .filter(s -> s.hit + s.missed > 0)
                .mapToDouble(s -> recall ? s.recall() : Double.isNaN(s.precision()) ? 0 : s.precision())
                .average()
                .orElse(Double.NaN);
    }

    double perHealthyYear(int times) {
        return times / healthyYears;
    }

    private Score score(FindingCode code) {
        return scores.computeIfAbsent(code, c -> new Score());
    }

    void count(Trial trial) {
        years += trial.years();
        if (trial.member.isHealthy()) {
            healthyYears += trial.years();
            tableAlarms += trial.table.size();
        }
        flips += trial.flips;
        softened += trial.softened;
        slips += trial.slips;
        slipsCaught += trial.slipsCaught;
        slipsImagined += trial.slipsImagined;
        forecasts.addAll(trial.forecasts);
        trial.member.faults().forEach(fault -> countFault(trial, fault));
        trial.calls.forEach((call, said) -> countCall(trial, call, said));
    }

    private void countFault(Trial trial, Fault fault) {
        FindingCode code = Truth.code(fault, trial.member);
        int seen = Truth.seenFrom(fault, trial.member, trial.life);
        if (code == null || seen < 0 || Truth.isThereAlready(fault, trial.member)) {
            return;
        }
        int seenDay = trial.life.truths().get(seen).day();
        int over = Math.min(trial.lastDay, Truth.until(fault, trial.member));
        if (seenDay > over || seenDay > Population.DAYS - DAYS_TO_CALL) {
            return;
        }
        int cell = Truth.cell(fault);
        Trial.@Nullable Said called = trial.calls.get(new Trial.Call(code, cell));
        boolean hit = called != null && called.day() >= fault.fromDay();
        if (hit) {
            score(code).hit++;
            score(code).days.add(called.day() - seenDay);
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
                .filter(e -> e.getKey().cell() == cell && e.getValue().day() >= fault.fromDay())
                .filter(e -> !OBSERVED.contains(e.getKey().code()) && e.getKey().code() != FindingCode.CELL_THIRSTY)
                .mapToInt(e -> e.getValue().day())
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
                        .filter(e -> e.getValue().day() >= fault.fromDay()
                                && e.getKey().cell() == cell)
                        .filter(e -> !OBSERVED.contains(e.getKey().code()))
                        .map(e -> e.getKey().code().code())
                        .sorted()
                        .findFirst()
                        .orElse("nothing");
        confusion
                .computeIfAbsent(fault.getClass().getSimpleName() + " → " + code.code(), k -> new TreeMap<>())
                .merge(called, 1, Integer::sum);
    }

    private void countCall(Trial trial, Trial.Call call, Trial.Said said) {
        if (OBSERVED.contains(call.code())) {
            return;
        }
        boolean isTrue = isExplained(trial, call, said.day());
        calibration.add(call.code(), said.confidence(), isTrue);
        if (isTrue) {
            return;
        }
        score(call.code()).wrong++;
        if (trial.member.isHealthy()) {
            if (said.severity().compareTo(Severity.WATCH) > 0) {
                falseActs++;
            } else {
                falseWatches++;
            }
        }
        trace("wrong", trial, call + " day " + said.day() + " said " + said.confidence());
    }

    /** {@code -Dtrace=true} tells each miss and each wrong call. */
    static void trace(String what, Trial trial, String which) {
        if (Boolean.getBoolean("trace")) {
            Population.Member member = trial.member;
            System.out.println(what + " " + trial.condition + " " + member.seed() + " " + which + " " + member.faults()
                    + " " + member.site() + " " + member.model().code());
        }
    }

    private static boolean isExplained(Trial trial, Trial.Call call, int day) {
        for (Fault fault : trial.member.faults()) {
            int cell = Truth.cell(fault);
            if (day >= fault.fromDay() && day <= Truth.until(fault, trial.member)) {
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
}
