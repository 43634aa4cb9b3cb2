package org.ostendum.core.state;

import java.time.Instant;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.Severity;

/**
 * A finding with its life.
 *
 * @param finding as it was last raised
 * @param since when it was first raised
 * @param seen when it was last raised
 * @param moved when its life last moved
 * @param by what moved it: a round, or the event that acted on it
 * @param clear rounds running that could have shown it and did not
 */
public record StandingFinding(
        Finding finding, FindingLife life, Instant since, Instant seen, Instant moved, String by, int clear) {

    static final String BY_ROUND = "round";

    Family family() {
        return Family.of(finding);
    }

    boolean isAbout(Finding other) {
        return family() == Family.of(other) && sharesCells(other);
    }

    private boolean sharesCells(Finding other) {
        return (finding.cells().isEmpty() && other.cells().isEmpty())
                || family() == Family.LEVEL
                || family() == Family.OVER
                || finding.cells().numbers().stream().anyMatch(other.cells().numbers()::contains);
    }

    boolean isOpen() {
        return life.isOpen();
    }

    StandingFinding moved(FindingLife to, Instant at, String by) {
        return new StandingFinding(finding, to, since, seen, at, by, clear);
    }

    StandingFinding with(Finding now) {
        return new StandingFinding(now, life, since, seen, moved, by, clear);
    }

    StandingFinding cleared(int times) {
        return new StandingFinding(finding, life, since, seen, moved, by, times);
    }

    /** @return how far it reaches now: what was acted upon is watched until a reading tells */
    public Severity severity() {
        boolean acted = life == FindingLife.ACTED_UPON && finding.severity() == Severity.ACT;
        return acted ? Severity.WATCH : finding.severity();
    }

    /** @return what is left to do about it, after what was done */
    public NextStep next() {
        if (life != FindingLife.ACTED_UPON) {
            return finding.next();
        }
        return switch (finding.next()) {
            case EQUALISE, LONG_CHARGE -> NextStep.READ_AFTER_EQUALISE;
            case CHARGE, CHECK_CHARGER, ADJUST_ACID, MOVE_TAP -> NextStep.READ_AGAIN;
            case COVER_PLATES -> NextStep.CHARGE;
            default -> NextStep.NONE;
        };
    }
}
