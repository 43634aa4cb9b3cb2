package org.ostendum.core.history;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.BatteryCourse;

/**
 * One cell from the day it came in to the day it went out, wherever in the battery it stood.
 *
 * @param mark serial or mark; null where nobody has said
 * @param dateCode as its maker stamped it; null where nobody has said
 * @param installed null for one that came with the battery
 * @param removed null for one that is in it
 * @param bridged until when it is bridged; null while it works
 * @param stays positions it has had, the present or last one at the end
 * @param course its gravity on full charges as {@code lowest}, beside the middle one of its battery as {@code median}
 */
public record CellPast(
        @Nullable String mark,
        @Nullable String dateCode,
        @Nullable Instant installed,
        @Nullable Instant removed,
        @Nullable Instant bridged,
        List<Stay> stays,
        BatteryCourse course) {
    public CellPast {
        stays = List.copyOf(stays);
    }

    /** @param since null from the beginning */
    public record Stay(int position, @Nullable Instant since) {}

    /** @return where it stands, or stood when it went out */
    public int position() {
        return stays.get(stays.size() - 1).position();
    }

    public boolean isIn() {
        return removed == null;
    }

    public Optional<BatteryCourse.Mark> first() {
        return course.marks().stream().findFirst();
    }

    public Optional<BatteryCourse.Mark> last() {
        List<BatteryCourse.Mark> marks = course.marks();
        return marks.isEmpty() ? Optional.empty() : Optional.of(marks.get(marks.size() - 1));
    }

    /** @return points by which it stands below its battery's middle cell, as last read; empty for never */
    public Optional<Integer> below() {
        return last().map(mark -> (mark.median().tenths() - mark.lowest().tenths()) / 10);
    }
}
