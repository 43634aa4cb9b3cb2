package org.ostendum.core.next;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Severity;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.rulebook.RuleKey;

/** Works out what a battery needs next, from its findings, from what was done about them since, and from the calendar. */
public final class NextThings {
    private NextThings() {}

    /** @return the battery's jobs, each kind once, most urgent first */
    public static List<NextThing> of(BatteryNow battery, Instant now) {
        List<NextThing> things = new ArrayList<>();
        Set<NextStep> taken = EnumSet.noneOf(NextStep.class);
        for (Finding finding : battery.findings()) {
            NextStep step = stillToDo(battery, finding.next());
            if (step != NextStep.NONE && taken.add(step)) {
                things.add(fromFinding(battery, finding, step));
            }
        }
        if (battery.hasCaps() && taken.stream().noneMatch(NextThings::endsInReadings)) {
            roundDue(battery, now).ifPresent(things::add);
        }
        if (battery.hasCaps() && !taken.contains(NextStep.WATER) && !taken.contains(NextStep.COVER_PLATES)) {
            waterDue(battery, now).ifPresent(things::add);
        }
        washDue(battery, now).ifPresent(things::add);
        things.sort(NextThing.MOST_URGENT);
        return things;
    }

    private static boolean endsInReadings(NextStep step) {
        return switch (step) {
            case READ_AGAIN, EQUALISE, READ_AFTER_EQUALISE, TAKE_ROUND -> true;
            default -> false;
        };
    }

    /** What is left of a step after the things done since the round that asked for it. */
    private static NextStep stillToDo(BatteryNow battery, NextStep step) {
        Happenings since = battery.happenings();
        return switch (step) {
            case EQUALISE -> done(since.equaliseEnd(), battery) ? NextStep.READ_AFTER_EQUALISE : step;
            case CHARGE -> done(since.filled(), battery) ? NextStep.READ_AGAIN : step;
            case WATER -> done(since.water(), battery) ? NextStep.NONE : step;
            case COVER_PLATES -> done(since.water(), battery) ? NextStep.CHARGE : step;
            // A cell to be watched is read at the calendar's next round, not at once.
            case TAKE_ROUND -> NextStep.NONE;
            default -> step;
        };
    }

    private static boolean done(@Nullable Instant at, BatteryNow battery) {
        return Happenings.follows(at, battery.lastRound());
    }

    private static NextThing fromFinding(BatteryNow battery, Finding finding, NextStep step) {
        return new NextThing(
                battery.code(),
                step,
                finding.severity(),
                Message.of("next." + step, battery.code()),
                step == finding.next() ? finding.sentence() : Message.of("next.since." + step),
                0,
                minutes(step, battery.cells()));
    }

    private static Optional<NextThing> roundDue(BatteryNow battery, Instant now) {
        if (battery.lastRound() == null) {
            return Optional.of(scheduled(battery, NextStep.TAKE_ROUND, 0, Message.of("next.round.never")));
        }
        Duration interval = battery.rules().duration(RuleKey.roundInterval(battery.duty()));
        long age = days(battery.lastRound(), now);
        long over = age - interval.toDays();
        return over < 0
                ? Optional.empty()
                : Optional.of(
                        scheduled(battery, NextStep.TAKE_ROUND, over, Message.of("next.round.due", (int) age, (int)
                                interval.toDays())));
    }

    /** Water is due only where the battery is full now: on a discharged one it would overflow. */
    private static Optional<NextThing> waterDue(BatteryNow battery, Instant now) {
        Happenings happenings = battery.happenings();
        if (happenings.water() == null || !happenings.isFull()) {
            return Optional.empty();
        }
        Duration interval = battery.rules().duration(RuleKey.waterInterval(battery.duty()));
        long age = days(happenings.water(), now);
        long over = age - interval.toDays();
        return over < 0
                ? Optional.empty()
                : Optional.of(scheduled(battery, NextStep.WATER, over, Message.of("next.water.due", (int) age, (int)
                        interval.toDays())));
    }

    private static Optional<NextThing> washDue(BatteryNow battery, Instant now) {
        if (battery.washed() == null) {
            return Optional.empty();
        }
        Duration interval = battery.rules().duration(RuleKey.WASH_INTERVAL);
        long age = days(battery.washed(), now);
        long over = age - interval.toDays();
        return over < 0
                ? Optional.empty()
                : Optional.of(scheduled(
                        battery, NextStep.WASH, over, Message.of("next.wash.due", (int) age, (int) interval.toDays())));
    }

    private static NextThing scheduled(BatteryNow battery, NextStep step, long over, Message reason) {
        return new NextThing(
                battery.code(),
                step,
                Severity.WATCH,
                Message.of("next." + step, battery.code()),
                reason,
                over,
                minutes(step, battery.cells()));
    }

    private static long days(Instant from, Instant to) {
        return Duration.between(from, to).toDays();
    }

    /** Minutes at the battery, not on the charger. Rule of thumb: 15 s to draw a cell, 10 s to water one, and the walk. */
    private static int minutes(NextStep step, int cells) {
        return switch (step) {
            case TAKE_ROUND, READ_AGAIN, READ_AFTER_EQUALISE, READ_CHARGE_VOLTS -> 3 + cells / 4;
            case WATER, COVER_PLATES, DRAW_OFF -> 3 + cells / 6;
            case CHARGE, EQUALISE, COOL, LONG_CHARGE -> 5;
            case CHECK_CHARGER, MOVE_TAP, ADJUST_ACID -> 20;
            case WASH -> 15;
            case TEST_CAPACITY -> 30;
            case REPAIR_CELL -> 120;
            case NONE -> 0;
        };
    }
}
