package org.ostendum.bench.accuracy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.fact.Sheet;
import org.ostendum.core.statistics.Robust;
import org.ostendum.sim.Life;
import org.ostendum.sim.SimulatedBattery;

/** One simulated life, judged round by round as it would have been, and by a careful technician's fixed table beside. */
final class Trial {
    static final Instant START = Instant.parse("2024-01-01T06:00:00Z");
    private static final double STEP_HOURS = 1 / 6.0;
    /** The fixed table: spread, and distance of a cell under the lower edge of the full window, tenths. */
    private static final int TABLE = 300;

    /** Part of the people who draw a doubted sample again when they are asked to. */
    private static final double DRAW_AGAIN = 0.9;

    private static final Rules RULES = Rules.standard();
    private static final double LIMIT = 500;
    private static final double DEAD_CELL = 1200;
    private static final double SPENT_BATTERY = 700;

    final Population.Member member;
    final Life life;
    private final Random careful;
    final Condition condition;
    /** What was first said of each code and cell; cell 0 for the battery. */
    final Map<Call, Said> calls = new HashMap<>();
    /** Matters that stand now, and those that stood once. */
    private Set<Matter> standing = Set.of();

    private final Set<Matter> stoodOnce = new HashSet<>();
    /** First day on which the table called a cell; 0 for the battery's spread. */
    final Map<Integer, Integer> table = new HashMap<>();

    final List<Forecasted> forecasts = new ArrayList<>();
    /** Day of the last round that was judged. */
    int lastDay = Population.DAYS;

    int slips;
    int slipsCaught;
    int slipsImagined;

    /** Matters that were called again after they had been let go. */
    int flips;
    /** Stops, truly so, that a round softened which could not have shown them. */
    int softened;

    /** A code called of a cell, 0 for the battery. */
    record Call(FindingCode code, int cell) {}

    /** What was said with a first call. */
    record Said(int day, Severity severity, double confidence) {}

    /** What a call is about, whichever cause is held for it. */
    private record Matter(FindingCode code, int cell) {
        static Matter of(FindingCode code, int cell) {
            return switch (code) {
                case CELL_SHORT, CELL_SULFATED, CELL_DILUTED -> new Matter(FindingCode.CELL_WEAK, cell);
                case BATTERY_SULFATED -> new Matter(FindingCode.BATTERY_UNDERCHARGED, cell);
                default -> new Matter(code, cell);
            };
        }
    }

    /** A forecast and what came of it. */
    record Forecasted(boolean covered, int daysOff, double times) {}

    private Trial(Population.Member member, Condition condition) {
        this.member = member;
        this.condition = condition;
        this.careful = new Random(member.seed());
        this.life = Roughened.of(
                SimulatedBattery.live(
                        member.model(),
                        member.site(),
                        member.faults(),
                        START,
                        Population.DAYS,
                        STEP_HOURS,
                        member.seed()),
                condition,
                member.seed());
    }

    static Trial run(long seed, Condition condition) {
        Trial trial = new Trial(Population.member(seed, condition), condition);
        trial.judgeAll();
        return trial;
    }

    double years() {
        return lastDay / 365.0;
    }

    /** Everything on record in its order, as the application folds it; after each of it somebody looks. */
    private void judgeAll() {
        BatteryFold fold = BatteryFold.begin(new Sheet(member.model(), RULES), ZoneOffset.UTC);
        List<BatteryEvent> events = life.events().all();
        int next = 0;
        for (int i = 0; i < life.rounds().size(); i++) {
            Instant taken = life.rounds().get(i).takenAt();
            while (next < events.size() && !events.get(next).at().isAfter(taken)) {
                fold.fold(events.get(next));
                look(fold, events.get(next++).at(), i);
            }
            take(i, fold);
            if (isSpent(life.truths().get(i))) {
                lastDay = life.truths().get(i).day();
                return;
            }
        }
    }

    private void take(int index, BatteryFold fold) {
        Set<Integer> stops = trueStops(fold, index);
        Round round = drawn(index, fold);
        PastRound held = fold.resolve(round);
        fold.fold(new BatteryEvent.RoundTaken(round));
        if (condition == Condition.SENT_TWICE) {
            fold.fold(new BatteryEvent.RoundTaken(round));
        }
        stops.removeAll(trueStops(fold, index));
        softened +=
                (int) stops.stream().filter(cell -> couldNotShow(held, cell)).count();
        look(fold, round.takenAt(), index);
    }

    private static boolean couldNotShow(PastRound held, int cell) {
        boolean read = held.round().reading(cell).map(r -> r.gravity() != null).orElse(false);
        return !held.isSound() || !held.round().state().isFull() || !read;
    }

    /** Cells that are to be stopped for, and in which a fault truly is. */
    private Set<Integer> trueStops(BatteryFold fold, int round) {
        int day = life.truths().get(round).day();
        return fold.snapshot().findings().open().stream()
                .filter(f -> f.severity() == Severity.STOP)
                .filter(f -> Matter.of(f.finding().code(), 0).code() == FindingCode.CELL_WEAK)
                .flatMap(f -> f.finding().cells().numbers().stream())
                .filter(cell ->
                        member.faults().stream().anyMatch(fault -> Truth.cell(fault) == cell && fault.fromDay() <= day))
                .collect(Collectors.toSet());
    }

    /** @return the round as it stays on record: what the judge doubted is drawn again at once, by most */
    private Round drawn(int index, BatteryFold fold) {
        Round round = life.rounds().get(index);
        Case asked = fold.caseOf(round);
        if (asked.latest().isSound() && !asked.gravities().isEmpty()) {
            byTable(
                    Gravities.of(round, RULES.temperatureCorrection()),
                    life.truths().get(index).day());
        }
        countSlips(asked.setAside(), life.truths().get(index).mistaken());
        boolean again = !asked.setAside().isEmpty() && careful.nextDouble() < DRAW_AGAIN;
        return again ? drawnAgain(index, asked.setAside()) : round;
    }

    private Round drawnAgain(int index, Set<Integer> cells) {
        Round round = life.rounds().get(index);
        List<SpecificGravity> again = life.truths().get(index).again();
        return new Round(
                round.takenAt(),
                round.state(),
                round.temperature(),
                round.readings().stream()
                        .map(r -> cells.contains(r.cell()) ? confirmed(r, again.get(r.cell() - 1)) : r)
                        .toList());
    }

    private static CellReading confirmed(CellReading r, SpecificGravity gravity) {
        return new CellReading(
                r.cell(), gravity, false, true, r.temperature(), r.volts(), r.onCharge(), r.level(), r.colour());
    }

    private void countSlips(Set<Integer> doubted, List<Integer> mistaken) {
        slips += mistaken.size();
        slipsCaught += (int) mistaken.stream().filter(doubted::contains).count();
        slipsImagined +=
                (int) doubted.stream().filter(c -> !mistaken.contains(c)).count();
    }

    /** Nobody keeps a battery in use in this state: a cell dead for good, or all of it far from full. */
    private boolean isSpent(Life.Truth truth) {
        double median = median(truth.mixed());
        int lowest =
                truth.mixed().stream().mapToInt(CorrectedGravity::tenths).min().orElse(0);
        return median - lowest >= DEAD_CELL || median(life.truths().get(0).mixed()) - median >= SPENT_BATTERY;
    }

    private static double median(List<CorrectedGravity> gravities) {
        return Robust.median(
                gravities.stream().mapToDouble(CorrectedGravity::tenths).toArray());
    }

    /** What the application says at a moment. */
    private void look(BatteryFold fold, Instant at, int round) {
        int day = (int) Duration.between(START, at).toDays();
        Set<Matter> now = new HashSet<>();
        for (StandingFinding open : fold.snapshot().findings().open()) {
            Finding finding = open.finding();
            // That it is low at work and wants a charge is seen, not concluded.
            if (finding.severity() == Severity.FIT || finding.next() == NextStep.CHARGE) {
                continue;
            }
            List<Integer> cells = finding.code() == FindingCode.PACK_TAP
                    ? List.of()
                    : finding.cells().numbers();
            for (int cell : cells.isEmpty() ? List.of(0) : cells) {
                now.add(Matter.of(finding.code(), cell));
                calls.putIfAbsent(new Call(finding.code(), cell), new Said(day, open.severity(), finding.confidence()));
                if (finding.forecast() != null
                        && at.equals(life.rounds().get(round).takenAt())) {
                    forecast(finding, cell, round);
                }
            }
        }
        flips += (int) now.stream()
                .filter(matter -> !standing.contains(matter) && stoodOnce.contains(matter))
                .filter(matter -> !Tally.OBSERVED.contains(matter.code()))
                .count();
        stoodOnce.addAll(now);
        standing = now;
    }

    private void byTable(Gravities gravities, int day) {
        if (gravities.spread().tenths() >= TABLE) {
            table.putIfAbsent(0, day);
            table.putIfAbsent(gravities.lowestCell(), day);
        }
        int floor = member.model().marks().fullFrom().tenths() - TABLE;
        gravities.byCell().forEach((cell, gravity) -> {
            if (gravity.tenths() < floor) {
                table.putIfAbsent(cell, day);
            }
        });
    }

    private void forecast(Finding finding, int cell, int round) {
        double crossed = crossing(cell, round);
        if (Double.isNaN(crossed) || finding.forecast() == null) {
            return;
        }
        LocalDate day = LocalDate.ofInstant(START, ZoneOffset.UTC).plusDays(Math.round(crossed));
        LocalDate late = finding.forecast().late();
        boolean covered = !day.isBefore(finding.forecast().early()) && (late == null || !day.isAfter(late));
        int off = (int) Duration.between(finding.forecast().crosses().atStartOfDay(), day.atStartOfDay())
                .toDays();
        double ahead = Math.max(1, crossed - life.truths().get(round).day());
        double said = Math.max(1, ahead - off);
        forecasts.add(new Forecasted(covered, off, ahead / said));
    }

    /** Day after a round on which the mixed gravity truly crossed the limit, between the rounds around it; NaN for never. */
    private double crossing(int cell, int round) {
        for (int i = round + 1; i < life.truths().size(); i++) {
            double after = below(i, cell);
            if (after >= LIMIT) {
                double before = below(i - 1, cell);
                int dayBefore = life.truths().get(i - 1).day();
                int dayAfter = life.truths().get(i).day();
                return before >= LIMIT
                        ? dayBefore
                        : dayBefore + (dayAfter - dayBefore) * (LIMIT - before) / (after - before);
            }
        }
        return Double.NaN;
    }

    private double below(int round, int cell) {
        List<CorrectedGravity> mixed = life.truths().get(round).mixed();
        return median(mixed) - mixed.get(cell - 1).tenths();
    }

    /** Points by which samples from the top lay below the mixed acid at a day's round. */
    double layered(int day) {
        return life.truths().stream()
                .filter(t -> t.day() == day)
                .mapToDouble(Life.Truth::layered)
                .findFirst()
                .orElse(0);
    }

    /** Widest true distance between cells at a day's round, without some cells, tenths. */
    double trueSpread(int day, Set<Integer> without) {
        return life.truths().stream()
                .filter(t -> t.day() == day)
                .findFirst()
                .map(t -> spread(t, without))
                .orElse(0.0);
    }

    private static double spread(Life.Truth truth, Set<Integer> without) {
        TreeMap<Integer, Integer> left = new TreeMap<>();
        for (int i = 0; i < truth.mixed().size(); i++) {
            if (!without.contains(i + 1)) {
                left.put(i, truth.mixed().get(i).tenths());
            }
        }
        return left.values().stream().mapToInt(Integer::intValue).max().orElse(0)
                - left.values().stream().mapToInt(Integer::intValue).min().orElse(0);
    }
}
