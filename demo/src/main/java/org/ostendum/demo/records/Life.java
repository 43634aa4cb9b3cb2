package org.ostendum.demo.records;

import java.util.List;
import org.ostendum.core.measure.Round;

/** A simulated stretch of a battery's life: what happened and what was read, each in the order of time. */
public record Life(List<Happening> happenings, List<Round> rounds) {
    public Life {
        happenings = List.copyOf(happenings);
        rounds = List.copyOf(rounds);
    }
}
