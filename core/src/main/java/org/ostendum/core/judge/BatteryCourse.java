package org.ostendum.core.judge;

import java.time.Instant;
import java.util.List;
import org.ostendum.core.quantity.CorrectedGravity;

/** The middle and the lowest gravity of a battery over its last rounds on a full charge, oldest first. */
public record BatteryCourse(List<Mark> marks) {
    public static final BatteryCourse NONE = new BatteryCourse(List.of());
    /** About a year of rounds on a forklift. */
    private static final int MOST = 16;

    public BatteryCourse {
        marks = List.copyOf(marks);
    }

    /** One round of it, corrected to the reference temperature. */
    public record Mark(Instant takenAt, CorrectedGravity median, CorrectedGravity lowest) {}

    public static BatteryCourse of(Case battery) {
        List<DatedGravities> full = battery.full().stream()
                .filter(dated -> !dated.gravities().isEmpty())
                .toList();
        return new BatteryCourse(full.subList(Math.max(0, full.size() - MOST), full.size()).stream()
                .map(dated -> new Mark(
                        dated.takenAt(),
                        dated.gravities().median(),
                        dated.gravities().lowest()))
                .toList());
    }
}
