package org.ostendum.app.fleet;

import java.util.Arrays;
import java.util.List;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.Severity;

/**
 * The batteries of the site, sifted.
 *
 * @param all of them
 * @param found those that the filter lets through
 * @param lines those of them that are shown
 * @param jobs what some battery needs, and can be asked for
 */
record FleetView(List<FleetLine> all, List<FleetLine> found, List<FleetLine> lines, List<NextStep> jobs) {
    public int untold() {
        return found.size() - lines.size();
    }

    /** @return how many of all there are, by severity */
    public List<Long> counts() {
        return Arrays.stream(Severity.values())
                .map(s -> all.stream().filter(l -> l.severity() == s).count())
                .toList();
    }

    public FleetOrder[] orders() {
        return FleetOrder.values();
    }

    public List<Severity> severities() {
        return List.of(Severity.STOP, Severity.ACT, Severity.WATCH, Severity.FIT);
    }

    public Duty[] duties() {
        return Duty.values();
    }
}
