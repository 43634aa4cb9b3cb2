package org.ostendum.app.fleet;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.Severity;

/**
 * Which batteries are to be seen, and in which order; the page's address holds it.
 *
 * @param find part of a code, a place or a model
 * @param severity as it stands; null for all
 * @param job that a battery needs; null for all
 * @param duty null for all
 * @param by null for the usual
 * @param all anything for every line, those that need nothing too
 */
record FleetFilter(
        @Nullable String find,
        @Nullable Severity severity,
        @Nullable NextStep job,
        @Nullable Duty duty,
        @Nullable FleetOrder by,
        @Nullable String all) {
    /** More at once are read by nobody, and found by typing. */
    private static final int MOST_SHOWN = 60;

    public String text() {
        return find == null ? "" : find.strip();
    }

    public FleetOrder order() {
        return by == null ? FleetOrder.NEED : by;
    }

    /** @return whether it leaves anything out */
    public boolean isNarrow() {
        return !text().isEmpty() || severity != null || job != null || duty != null;
    }

    List<FleetLine> of(List<FleetLine> all) {
        return all.stream().filter(this::shows).sorted(order().comparator()).toList();
    }

    /** @return the first of them: what needs nothing is left out unless it is asked for */
    List<FleetLine> shown(List<FleetLine> found) {
        if (all != null) {
            return found;
        }
        boolean byNeed = order() == FleetOrder.NEED && !isNarrow();
        return found.stream()
                .filter(line -> !byNeed || line.severity() != Severity.FIT)
                .limit(MOST_SHOWN)
                .toList();
    }

    private boolean shows(FleetLine line) {
        return (severity == null || line.severity() == severity)
                && (duty == null || line.battery().type().model().duty() == duty)
                && (job == null || line.things().stream().anyMatch(t -> t.step() == job))
                && holds(line);
    }

    private boolean holds(FleetLine line) {
        String wanted = text().toLowerCase(Locale.ROOT);
        return Stream.of(
                        line.battery().code(),
                        String.valueOf(line.battery().place()),
                        line.battery().type().code())
                .anyMatch(t -> t.toLowerCase(Locale.ROOT).contains(wanted));
    }
}
