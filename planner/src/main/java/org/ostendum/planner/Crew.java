package org.ostendum.planner;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/**
 * Whether there are hands enough for the changes: of those that begin after a moment and have to be made before another, no more than
 * people can make between the two. The second is always the beginning of shifts; the first lies whole changes before it.
 */
final class Crew {
    private static final int TURNS_BACK = 96;
    private static final long TOGETHER_SECONDS = 3 * 3600;

    private final PlanProblem problem;
    private final long lasts;
    private final long[] starts;
    private final int[][] can;
    private final int[][] wanted;
    private long over;

    /** @param works all that are planned */
    Crew(PlanProblem problem, List<WorkAndCharge> works) {
        this.problem = problem;
        this.lasts = 60L * Math.max(1, problem.rules().changeMinutes());
        this.starts = works.stream()
                .filter(work -> !work.first && work.getFitting().stream().noneMatch(Stock::fixed))
                .mapToLong(work -> work.start)
                .sorted()
                .distinct()
                .toArray();
        this.can = Arrays.stream(starts).mapToObj(this::can).toArray(int[][]::new);
        this.wanted = new int[starts.length][TURNS_BACK + 1];
    }

    /** How many changes people can make in the last one, two, three … changes’ times before a moment. */
    private int[] can(long start) {
        int[] sums = new int[TURNS_BACK + 1];
        for (int turn = 1; turn <= TURNS_BACK; turn++) {
            Span span = new Span(at(start - turn * lasts), at(start - (turn - 1) * lasts));
            sums[turn] = sums[turn - 1]
                    + (int) problem.people().stream()
                            .filter(worker -> canChange(worker, span))
                            .count();
        }
        return sums;
    }

    private static boolean canChange(Worker worker, Span span) {
        return worker.may().contains(Task.CHANGE) && worker.isThere(span);
    }

    private Instant at(long seconds) {
        return problem.from().plus(Duration.ofSeconds(seconds));
    }

    /** @return the first moment that makes a difference of how soon a change can begin */
    long earliest(long ready, long machineFree, long start) {
        return Math.max(ready, Math.min(machineFree, start - lasts));
    }

    /**
     * @param earliest when it can begin
     * @param sign 1 to count it, -1 to take it off
     */
    void add(long earliest, long start, int sign) {
        int at = Arrays.binarySearch(starts, start);
        for (int i = at; i < starts.length && starts[i] <= start + TOGETHER_SECONDS; i++) {
            int turns = (int) Math.min(TURNS_BACK, Math.max(1, (starts[i] - earliest) / lasts));
            add(wanted[i], can[i], turns, sign);
        }
    }

    private void add(int[] counts, int[] most, int turns, int sign) {
        int sum = 0;
        for (int turn = 1; turn < turns; turn++) {
            sum += counts[turn];
        }
        counts[turns] += sign;
        for (int turn = turns; turn <= TURNS_BACK; turn++) {
            sum += counts[turn];
            over += Math.max(0, sum - most[turn]) - Math.max(0, sum - sign - most[turn]);
        }
    }

    /** @return by how many changes too much is wanted, summed over all stretches of time */
    long over() {
        return over;
    }
}
