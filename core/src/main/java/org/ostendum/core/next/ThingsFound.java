package org.ostendum.core.next;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;

/** What has been found that a battery needs so far, each kind of job once. */
final class ThingsFound {
    private final String code;
    private final BatteryState battery;
    private final Map<NextStep, NextThing> things = new EnumMap<>(NextStep.class);

    ThingsFound(String code, BatteryState battery) {
        this.code = code;
        this.battery = battery;
    }

    String code() {
        return code;
    }

    BatteryState battery() {
        return battery;
    }

    @Nullable
    NextThing get(NextStep step) {
        return things.get(step);
    }

    /** @return the jobs found so far, to take away from */
    Set<NextStep> steps() {
        return things.keySet();
    }

    /** @return most urgent first */
    List<NextThing> inOrder() {
        return things.values().stream().sorted(NextThing.MOST_URGENT).toList();
    }

    void add(NextStep step, Severity severity, Message reason) {
        // A cell of a block cannot be taken out: the block is changed as the pack's drawing has it.
        boolean inBlock =
                step == NextStep.REPAIR_CELL && battery.model().layout().isPack();
        add(step, severity, reason, inBlock ? null : step.job());
    }

    void add(NextStep step, Severity severity, Message reason, @Nullable String procedure) {
        put(new NextThing(code, step, severity, procedure, what(step), reason, null, 0, StepTimes.of(step, battery)));
    }

    /** Between the cells of a block no voltmeter comes: what can be read is each block. */
    private Message what(NextStep step) {
        boolean byBlock =
                step == NextStep.READ_CHARGE_VOLTS && battery.model().layout().cellsPerCase() > 1;
        return Message.of("next." + step + (byBlock ? ".blocks" : ""), code);
    }

    void due(@Nullable Instant last, RuleKey rule, NextStep step, String reason, Instant now) {
        if (last != null) {
            due(last, battery.rules().duration(rule), step, reason, now);
        }
    }

    void due(Instant last, Duration interval, NextStep step, String reason, Instant now) {
        long age = Duration.between(last, now).toDays();
        long over = age - interval.toDays();
        if (over >= 0) {
            put(new NextThing(
                    code,
                    step,
                    Severity.WATCH,
                    step.job(),
                    Message.of("next." + step, code),
                    Message.of(reason, (int) age, (int) interval.toDays()),
                    last.plus(interval),
                    over,
                    StepTimes.of(step, battery)));
        }
    }

    /** Each kind once, by its gravest reason. */
    void put(NextThing thing) {
        things.merge(
                thing.step(), thing, (before, now) -> now.severity().compareTo(before.severity()) > 0 ? now : before);
    }
}
