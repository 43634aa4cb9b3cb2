package org.ostendum.core.judge.question;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.CellCourse;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.Missing;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Outcome;
import org.ostendum.core.judge.Question;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.statistics.Robust;

/**
 * Do all cells of one or more whole blocks at an end of the pack stand below the others together? Then something is tapped
 * off those blocks. One bad cell in a block leaves its brothers where they were.
 */
public final class TappedBlocks implements Question {
    /** Each cell of a tapped block shows at least this part of the block's fall. */
    private static final double TOGETHER = 0.5;
    /** All cells of a block so many times below at once need no second round. */
    private static final double AT_ONCE = 2.5;

    private static final int LEAST_READINGS = 6;

    @Override
    public String name() {
        return "tapped-blocks";
    }

    @Override
    public Outcome ask(Case battery) {
        Optional<Missing> missing = battery.missingForCourses();
        if (missing.isPresent()) {
            return new Outcome.NotJudged(missing.get());
        }
        List<Integer> cells = cells(battery);
        return cells.isEmpty() ? new Outcome.Clear() : Outcome.of(finding(battery, cells));
    }

    private record Tapped(List<Integer> cells) {}

    /** @return the cells of the tapped blocks; none where no tap shows */
    static List<Integer> cells(Case battery) {
        return battery.once(Tapped.class, b -> new Tapped(find(b))).cells();
    }

    private static List<Integer> find(Case battery) {
        int blocks = battery.model().layout().cases().size();
        int perBlock = battery.model().layout().cellsPerCase();
        if (perBlock < 2
                || blocks < 3
                || battery.full().size() < battery.rules().count(RuleKey.TREND_ROUNDS)) {
            return List.of();
        }
        List<Integer> fromPlus =
                run(battery, IntStream.rangeClosed(1, blocks).boxed().toList(), perBlock);
        return fromPlus.isEmpty()
                ? run(
                        battery,
                        IntStream.rangeClosed(1, blocks)
                                .map(b -> blocks + 1 - b)
                                .boxed()
                                .toList(),
                        perBlock)
                : fromPlus;
    }

    /** Blocks from one end on that have fallen, fewer than half of all. */
    private static List<Integer> run(Case battery, List<Integer> inOrder, int perBlock) {
        List<Integer> cells = new ArrayList<>();
        int blocks = 0;
        for (int block : inOrder) {
            List<Integer> ofBlock = IntStream.rangeClosed((block - 1) * perBlock + 1, block * perBlock)
                    .boxed()
                    .toList();
            if (!hasFallen(battery, ofBlock)) {
                break;
            }
            cells.addAll(ofBlock);
            blocks++;
        }
        return 2 * blocks < inOrder.size() ? cells : List.of();
    }

    /** An equalising charge fills what the tap has drained: where ordinary rounds are enough, they are asked alone. */
    private static CellCourse course(Case battery, int cell) {
        CellCourse ordinary = battery.ordinaryCourse(cell);
        return ordinary.readings() >= LEAST_READINGS ? ordinary : battery.course(cell);
    }

    private static boolean hasFallen(Case battery, List<Integer> cells) {
        List<CellCourse> courses = cells.stream()
                .map(cell -> course(battery, cell))
                .filter(c -> c.readings() >= LEAST_READINGS)
                .toList();
        double needed = battery.rules().points(RuleKey.TAP_BELOW).tenths();
        return courses.size() == cells.size()
                && (haveFallen(courses, CellCourse::fallen, needed)
                        || haveFallen(courses, c -> c.begunAt() - c.last(), AT_ONCE * needed));
    }

    private static boolean haveFallen(List<CellCourse> courses, ToDoubleFunction<CellCourse> fall, double needed) {
        double[] falls = courses.stream().mapToDouble(fall).toArray();
        double middle = Robust.median(falls);
        return middle >= needed && IntStream.range(0, falls.length).allMatch(i -> falls[i] >= TOGETHER * middle);
    }

    private static Finding finding(Case battery, List<Integer> cells) {
        int perBlock = battery.model().layout().cellsPerCase();
        List<Integer> blocks =
                cells.stream().map(c -> (c - 1) / perBlock + 1).distinct().toList();
        double fallen = Robust.median(
                cells.stream().mapToDouble(c -> course(battery, c).fallen()).toArray());
        GravityDifference fell = new GravityDifference((int) Math.round(fallen));
        return new Finding(
                FindingCode.PACK_TAP,
                new Cells(cells),
                Severity.ACT,
                Message.of("finding.tap", Collections.min(blocks), Collections.max(blocks)),
                Message.of("finding.tap.why", fell, battery.rules().points(RuleKey.TAP_BELOW)),
                List.of(battery.rules().use(RuleKey.TAP_BELOW)),
                new Evidence.Fallen(fell, null),
                NextStep.MOVE_TAP,
                null,
                Confidence.TAP);
    }
}
