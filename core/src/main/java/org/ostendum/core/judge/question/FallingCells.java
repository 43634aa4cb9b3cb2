package org.ostendum.core.judge.question;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.CellCourse;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.statistics.SenLine;

/**
 * Has a cell fallen against its neighbours since its own beginning, though it is still inside the limit? Called when the
 * fall is several times its standard error, so that chance does not call one of two dozen cells at every round. The day
 * on which it would cross is read off a Theil–Sen line, which one bad reading does not move.
 */
public final class FallingCells implements Question {
    private static final double DAYS_NAMED_AT_MOST = 3653;
    /**
     * A short quickens and an equalise holds a cell up, so that the line's own interval is too narrow. By so much it is
     * widened: fitted on simulated lives, measured on others ({@code docs/judgement.md}).
     */
    private static final double EARLY_PART = 0.3;

    private static final double EARLY_DAYS = 7;
    private static final double LATE_PART = 1.8;
    private static final double LATE_DAYS = 25;
    /** A fall has to be seen in the last reading too, at least by this part. */
    private static final double STILL_THERE = 0.5;
    /** So many times the needed fall is told though the limit is far off yet. */
    private static final double CLEARLY = 1.2;

    @Override
    public String name() {
        return "falling-cells";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForCourses();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        return Outcome.of(cells(battery).stream()
                .flatMap(cell -> finding(battery, cell).stream())
                .toList());
    }

    private record Fallen(List<Integer> cells) {}

    /** Cells inside the limit that have fallen, without those a tap drains together. */
    static List<Integer> cells(Case battery) {
        return battery.once(Fallen.class, laid -> new Fallen(fallen(laid))).cells();
    }

    private static List<Integer> fallen(Case battery) {
        List<Integer> known = WeakCells.below(battery);
        List<Integer> tapped = TappedBlocks.cells(battery);
        return battery.gravities().byCell().keySet().stream()
                .filter(cell -> !known.contains(cell) && !tapped.contains(cell) && hasFallen(battery, cell))
                .toList();
    }

    /** Those of them that no equalise would bring up: their cause is known. */
    static List<Integer> explained(Case battery) {
        return cells(battery).stream()
                .filter(cell -> CellCause.of(battery, cell) != CellCause.UNKNOWN)
                .toList();
    }

    private static boolean hasFallen(Case battery, int cell) {
        return fellSlowly(battery, cell) || hasDropped(battery, cell) || CellCause.isToldByVolts(battery, cell);
    }

    private static boolean hasDropped(Case battery, int cell) {
        GravityDifference least = battery.rules().points(RuleKey.TREND_LEAST_FALL);
        return battery.dropDrawnTwice(cell).filter(d -> d.compareTo(least) >= 0).isPresent();
    }

    private static boolean fellSlowly(Case battery, int cell) {
        return fell(battery, cell, 1);
    }

    /** @param times the fall that is needed to be told from chance */
    private static boolean fell(Case battery, int cell, double times) {
        CellCourse course = battery.course(cell);
        if (course.readings() < battery.rules().count(RuleKey.TREND_ROUNDS)) {
            return false;
        }
        double scatter = battery.scatter().usual().tenths();
        double needed = Math.max(
                battery.rules().points(RuleKey.TREND_LEAST_FALL).tenths(),
                battery.rules().number(RuleKey.TREND_ERRORS) * course.fallenError(scatter));
        if (!course.mayHaveFallen(times * needed)) {
            return false;
        }
        double fallen = course.fallen();
        return fallen >= times * needed && course.last() <= course.begunAt() - STILL_THERE * fallen;
    }

    private static Optional<Finding> finding(Case battery, int cell) {
        CellCause cause = CellCause.of(battery, cell);
        if (cause == CellCause.UNKNOWN && !fellSlowly(battery, cell)) {
            return dropped(battery, cell);
        }
        @Nullable Forecast forecast = cause == CellCause.DILUTED ? null : forecast(battery, cell);
        boolean soon = forecast != null || fell(battery, cell, CLEARLY);
        if (cause == CellCause.UNKNOWN && (!soon || WeakCells.isLeftBehind(battery, cell))) {
            return Optional.empty();
        }
        CellCourse course = battery.course(cell);
        GravityDifference fell = new GravityDifference((int) Math.round(course.fallen()));
        LocalDate since = today(battery).plusDays(Math.round(course.day(0)));
        return Optional.of(new Finding(
                cause.code(),
                Cells.of(cell),
                cause == CellCause.DILUTED ? Severity.ACT : Severity.WATCH,
                sentence(cause, cell, forecast),
                why(battery, cause, cell, fell, since, forecast),
                List.of(
                        battery.rules().use(RuleKey.CELL_BELOW_MEDIAN),
                        battery.rules().use(RuleKey.TREND_ROUNDS),
                        battery.rules().use(RuleKey.TREND_WINDOW),
                        battery.rules().use(RuleKey.TREND_LEAST_FALL),
                        battery.rules().use(RuleKey.TREND_ERRORS),
                        battery.rules().use(RuleKey.TREND_HORIZON),
                        battery.rules().use(RuleKey.CHARGE_VOLTS_APART)),
                new Evidence.Fallen(fell, CellEvidence.millivoltsAbove(battery, cell)),
                cause == CellCause.UNKNOWN && hasVolts(battery, cell) ? NextStep.TAKE_ROUND : cause.next(),
                forecast,
                cause.confidence()));
    }

    /** One reading at a new place has no line yet, but it was drawn twice. */
    private static Optional<Finding> dropped(Case battery, int cell) {
        GravityDifference dropped = battery.dropDrawnTwice(cell).orElseThrow();
        if (WeakCells.isLeftBehind(battery, cell)) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                FindingCode.CELL_WEAK,
                Cells.of(cell),
                Severity.WATCH,
                Message.of("finding.dropped", Cells.of(cell), dropped),
                Message.of("finding.dropped.why", dropped, battery.scatter().usual()),
                List.of(
                        battery.rules().use(RuleKey.SCATTER_FACTOR),
                        battery.rules().use(RuleKey.TREND_LEAST_FALL)),
                new Evidence.Dropped(dropped, CellEvidence.millivoltsAbove(battery, cell)),
                NextStep.TAKE_ROUND,
                null,
                CellCause.UNKNOWN.confidence()));
    }

    private static boolean hasVolts(Case battery, int cell) {
        return battery.chargeVolts().above(cell).isPresent();
    }

    private static Message sentence(CellCause cause, int cell, @Nullable Forecast forecast) {
        Cells cells = Cells.of(cell);
        if (cause == CellCause.UNKNOWN) {
            return forecast == null
                    ? Message.of("finding.fallen", cells)
                    : Message.of("finding.falling", cells, forecast.crosses());
        }
        return Message.of("finding.cause." + cause.code(), cells);
    }

    private static Message why(
            Case battery,
            CellCause cause,
            int cell,
            GravityDifference fell,
            LocalDate since,
            @Nullable Forecast forecast) {
        GravityDifference limit = battery.rules().points(RuleKey.CELL_BELOW_MEDIAN);
        Message fall = forecast == null
                ? Message.of("finding.fallen.why", fell, since)
                : Message.of(
                        "finding.falling.why",
                        fell,
                        since,
                        new GravityDifference((int) Math.round(perMonth(battery, cell))),
                        limit,
                        forecast.early(),
                        lateWords(forecast.late()));
        return CellEvidence.why(battery, cause, cell, fall);
    }

    private static LocalDate today(Case battery) {
        return LocalDate.ofInstant(battery.now(), battery.zone());
    }

    private static SenLine line(Case battery, int cell) {
        CellCourse course = battery.course(cell);
        int window = battery.rules().count(RuleKey.TREND_WINDOW);
        int falling = Math.max(battery.rules().count(RuleKey.TREND_ROUNDS), course.readings() - course.fallIndex() + 2);
        CellCourse recent = course.last(Math.min(window, falling));
        return SenLine.through(recent.daysArray(), recent.aboveArray());
    }

    private static double perMonth(Case battery, int cell) {
        return -line(battery, cell).slope() * 30;
    }

    /** @return null where it does not fall any more, or crosses beyond the horizon */
    private static @Nullable Forecast forecast(Case battery, int cell) {
        if (battery.course(cell).readings() < battery.rules().count(RuleKey.TREND_ROUNDS)) {
            return null;
        }
        SenLine line = line(battery, cell);
        double left =
                line.at(0) + battery.rules().points(RuleKey.CELL_BELOW_MEDIAN).tenths();
        if (line.slope() >= 0) {
            return null;
        }
        double days = Math.max(0, left / -line.slope());
        if (days > battery.rules().duration(RuleKey.TREND_HORIZON).toDays()) {
            return null;
        }
        LocalDate today = today(battery);
        double early = Math.max(0, Math.min(left / -line.slopeLow(), EARLY_PART * days - EARLY_DAYS));
        double late = line.slopeHigh() < 0
                ? Math.max(left / -line.slopeHigh(), LATE_PART * days + LATE_DAYS)
                : Double.MAX_VALUE;
        return new Forecast(
                today.plusDays(Math.round(days)),
                today.plusDays(Math.round(early)),
                late <= DAYS_NAMED_AT_MOST ? today.plusDays(Math.round(late)) : null);
    }

    private static Object lateWords(@Nullable LocalDate late) {
        return late == null ? Message.of("finding.falling.no-late") : late;
    }
}
