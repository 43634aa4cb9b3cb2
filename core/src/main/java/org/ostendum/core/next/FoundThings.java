package org.ostendum.core.next;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.FindingLife;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.StuckInjectors;

/** What its findings call for, what a stop-gap and a driver’s complaint still wait for, and injectors that stick. */
final class FoundThings {
    /** So long before its date the renewal of a bridged cell has to be seen to. */
    private static final Duration SOON = Duration.ofDays(7);

    private final ThingsFound found;
    private final BatteryState battery;

    FoundThings(ThingsFound found) {
        this.found = found;
        this.battery = found.battery();
    }

    void find() {
        findings();
        bridged();
        complaint();
        kit();
    }

    private void findings() {
        for (StandingFinding finding : battery.findings()) {
            NextStep step = finding.next();
            // A cell to be watched is read at the calendar's next round, not at once; levels speak for themselves.
            boolean acted = finding.life() == FindingLife.ACTED_UPON;
            if (step == NextStep.NONE || step == NextStep.TAKE_ROUND || (isAboutLevels(finding) && !acted)) {
                continue;
            }
            SharedShift doubt = acted ? null : battery.doubt(finding);
            Severity severity = finding.finding().severity();
            if (doubt != null) {
                // Where the whole room reads low, the hydrometer is compared before anything is done to its batteries.
                found.add(NextStep.COMPARE_HYDROMETER, severity, Message.of("next.hydrometer", (int) doubt.points()));
            }
            found.add(
                    step,
                    doubt == null ? severity : Severity.WATCH,
                    acted ? Message.of("next.since." + step) : finding.finding().sentence());
        }
    }

    private static boolean isAboutLevels(StandingFinding finding) {
        return switch (finding.finding().code()) {
            case CELL_DRY, CELL_OVERFILLED -> true;
            default -> false;
        };
    }

    /** A stop-gap has a date; it is told all the while, and asked for when the date comes near. */
    private void bridged() {
        battery.cells()
                .bridged()
                .forEach((cell, until) -> found.put(new NextThing(
                        found.code(),
                        NextStep.REPAIR_CELL,
                        severity(until),
                        NextStep.REPAIR_CELL.job(),
                        Message.of("next.bridged.do", found.code(), new Cells(List.of(cell))),
                        Message.of(battery.cells().isBridgedTooLong() ? "next.bridged.over" : "next.bridged", until),
                        until,
                        0,
                        StepTimes.of(NextStep.REPAIR_CELL, battery))));
    }

    private Severity severity(Instant until) {
        if (!battery.asOf().isBefore(until)) {
            return Severity.STOP;
        }
        return Duration.between(battery.asOf(), until).compareTo(SOON) <= 0 ? Severity.ACT : Severity.WATCH;
    }

    /** What a driver says is worked up while he remembers. */
    private void complaint() {
        Instant since = battery.complainedOf();
        if (since != null) {
            found.add(NextStep.WORK_UP, Severity.WATCH, Message.of("next.work-up.why", since));
        }
    }

    /** A few cells low or over, the others right: that is their injectors. */
    private void kit() {
        StuckInjectors stuck = battery.stuckInjectors();
        if (!stuck.closed().isEmpty()) {
            found.add(NextStep.LOOK_AT_KIT, Severity.ACT, Message.of("next.kit.closed", stuck.closed()));
        }
        if (!stuck.open().isEmpty()) {
            found.add(NextStep.LOOK_AT_KIT, Severity.ACT, Message.of("next.kit.open", stuck.open()));
        }
    }
}
