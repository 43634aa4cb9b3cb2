package org.ostendum.core.plan.room;

import java.util.List;
import java.util.Set;

/**
 * Somebody who works in the room.
 *
 * @param quiet when nothing should be planned for him, where it can be helped: breaks, the hand-over
 */
public record Worker(String code, Set<Task> may, List<Span> shifts, List<Span> quiet) {
    public Worker {
        may = Set.copyOf(may);
        shifts = List.copyOf(shifts);
        quiet = List.copyOf(quiet);
    }

    /** One without quiet times. */
    public Worker(String code, Set<Task> may, List<Span> shifts) {
        this(code, may, shifts, List.of());
    }

    /** @return the same, who is there at other times */
    public Worker there(List<Span> others) {
        return new Worker(code, may, others, quiet);
    }

    public boolean isThere(Span span) {
        return shifts.stream().anyMatch(shift -> shift.holds(span));
    }

    public boolean isQuiet(Span span) {
        return quiet.stream().anyMatch(span::touches);
    }
}
