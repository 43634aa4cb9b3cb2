package org.ostendum.core.judge.question;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.judge.statistics.SenLine;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;

/**
 * Does a cell fall against its neighbours over the last full-charge rounds, though it is still inside the limit? The day
 * on which it would cross is read off a Theil–Sen line, which one bad reading does not move.
 */
public final class FallingCells implements Question {
    /** One-sided 99 % of the normal distribution: with 24 cells a battery, 95 % would call one by chance. */
    private static final double FALLING = -2.33;

    private static final double DAYS_NAMED_AT_MOST = 3653;

    @Override
    public String name() {
        return "falling-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForComparison();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        List<DatedGravities> window = window(battery);
        if (window.size() < battery.rules().count(RuleKey.TREND_ROUNDS)) {
            return new Outcome.NotJudged(Missing.MORE_ROUNDS);
        }
        List<Integer> weak = WeakCells.below(battery);
        return Outcome.of(battery.gravities().byCell().keySet().stream()
                .filter(cell -> !weak.contains(cell))
                .flatMap(cell -> finding(battery, window, cell).stream())
                .toList());
    }

    /** The latest round and those before it that were taken on a full battery, oldest first. */
    private static List<DatedGravities> window(Case battery) {
        List<DatedGravities> full = new ArrayList<>(battery.soundPast().stream()
                .filter(past -> past.state().isFull())
                .toList());
        full.add(new DatedGravities(
                battery.latest().round().takenAt(), battery.latest().round().state(), battery.gravities()));
        return full.subList(Math.max(0, full.size() - battery.rules().count(RuleKey.TREND_WINDOW)), full.size());
    }

    private static Optional<Finding> finding(Case battery, List<DatedGravities> window, int cell) {
        List<DatedGravities> read = window.stream()
                .filter(dated -> dated.gravities().byCell().containsKey(cell))
                .toList();
        if (read.size() < battery.rules().count(RuleKey.TREND_ROUNDS)) {
            return Optional.empty();
        }
        Instant now = battery.latest().round().takenAt();
        SenLine line = SenLine.through(
                read.stream().mapToDouble(d -> daysAfter(now, d.takenAt())).toArray(),
                read.stream()
                        .mapToDouble(d -> d.gravities().aboveMedian(cell).tenths())
                        .toArray());
        double first = daysAfter(now, read.get(0).takenAt());
        double fallen = line.at(first) - line.at(0);
        boolean falls = line.trend() < FALLING
                && line.slopeHigh() < 0
                && fallen >= battery.rules().points(RuleKey.TREND_LEAST_FALL).tenths();
        return falls ? called(battery, cell, line, fallen, first) : Optional.empty();
    }

    private static Optional<Finding> called(Case battery, int cell, SenLine line, double fallen, double firstDay) {
        GravityDifference limit = battery.rules().points(RuleKey.CELL_BELOW_MEDIAN);
        double left = line.at(0) + limit.tenths();
        double days = Math.max(0, left / -line.slope());
        if (days > battery.rules().duration(RuleKey.TREND_HORIZON).toDays()) {
            return Optional.empty();
        }
        LocalDate today = LocalDate.ofInstant(battery.latest().round().takenAt(), battery.zone());
        double early = Math.max(0, left / -line.slopeLow());
        Forecast forecast = new Forecast(
                today.plusDays(Math.round(days)),
                today.plusDays(Math.round(early)),
                late(today, Math.max(0, left / -line.slopeHigh())));
        GravityDifference perMonth = new GravityDifference((int) Math.round(-line.slope() * 30));
        GravityDifference fell = new GravityDifference((int) Math.round(fallen));
        return Optional.of(new Finding(
                FindingCode.CELL_WEAK,
                Cells.of(cell),
                Severity.WATCH,
                Message.of("finding.falling", Cells.of(cell), forecast.crosses()),
                Message.of(
                        "finding.falling.why",
                        fell,
                        today.plusDays(Math.round(firstDay)),
                        perMonth,
                        limit,
                        forecast.early(),
                        lateWords(forecast.late())),
                List.of(
                        battery.rules().use(RuleKey.CELL_BELOW_MEDIAN),
                        battery.rules().use(RuleKey.TREND_ROUNDS),
                        battery.rules().use(RuleKey.TREND_WINDOW),
                        battery.rules().use(RuleKey.TREND_LEAST_FALL),
                        battery.rules().use(RuleKey.TREND_HORIZON)),
                List.of(new Evidence("fallen", fell), new Evidence("perMonth", perMonth)),
                NextStep.TAKE_ROUND,
                forecast,
                0.8));
    }

    private static Object lateWords(@Nullable LocalDate late) {
        return late == null ? Message.of("finding.falling.no-late") : late;
    }

    private static @Nullable LocalDate late(LocalDate today, double days) {
        return days <= DAYS_NAMED_AT_MOST ? today.plusDays(Math.round(days)) : null;
    }

    private static double daysAfter(Instant origin, Instant instant) {
        return Duration.between(origin, instant).toMinutes() / 1440.0;
    }
}
