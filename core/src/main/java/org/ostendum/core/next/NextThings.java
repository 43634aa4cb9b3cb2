package org.ostendum.core.next;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.FindingLife;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.StuckInjectors;
import org.ostendum.core.state.WaterDue;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.OpenDefect;
import org.ostendum.core.state.fact.Renewal;
import org.ostendum.core.state.fact.Stage;

/**
 * Works out what a battery needs next, from its state alone. What stands in the way of something else comes first, and what
 * cannot be done now is not asked for: nothing is watered, read or charged while it charges, no charge on bare plates, in heat or
 * over the mark, no water before it is full.
 */
public final class NextThings {
    /** So long before its date the renewal of a bridged cell has to be seen to. */
    private static final Duration SOON = Duration.ofDays(7);
    /** What nobody has done so long after a cell was renewed is not asked for any more: the calendar has it. */
    private static final Duration NEW_FOR = Duration.ofDays(60);

    private final String code;
    private final BatteryState battery;
    private final Map<NextStep, NextThing> things = new EnumMap<>(NextStep.class);

    private NextThings(String code, BatteryState battery) {
        this.code = code;
        this.battery = battery;
    }

    /** @return the battery's jobs, each kind once, most urgent first */
    public static List<NextThing> of(String code, BatteryState battery) {
        return new NextThings(code, battery).workedOut();
    }

    private List<NextThing> workedOut() {
        if (battery.stage() == Stage.RETIRED || battery.stage() == Stage.ORDERED) {
            return List.of();
        } else if (battery.stage() == Stage.DRY) {
            add(NextStep.COMMISSION, Severity.ACT, Message.of("next.commission.why"));
            defects();
            return inOrder();
        }
        heat();
        defects();
        levels();
        findings();
        bridged();
        complaint();
        kit();
        tap();
        charge();
        renewed();
        care();
        takeAwayWhatCannotBe();
        return inOrder();
    }

    /**
     * @param things of a battery, most urgent first
     * @return what has to be done before anything that its readings call for; empty for nothing
     */
    public static Optional<NextThing> moreUrgent(List<NextThing> things, Verdict verdict) {
        return things.stream()
                .findFirst()
                .filter(thing -> thing.severity().compareTo(Severity.ACT) >= 0)
                .filter(thing -> thing.severity().compareTo(verdict.severity()) > 0);
    }

    /** @return why the charge under way has to be ended at once; empty where it may run on, or none runs */
    public static Optional<Message> endOfCharge(String code, BatteryState battery) {
        return battery.isChargeToBeEnded()
                ? of(code, battery).stream()
                        .filter(thing -> thing.severity() == Severity.STOP)
                        .map(NextThing::reason)
                        .findFirst()
                : Optional.empty();
    }

    private List<NextThing> inOrder() {
        return things.values().stream().sorted(NextThing.MOST_URGENT).toList();
    }

    private void heat() {
        Heat heat = battery.heat().temperature();
        if (heat != null && battery.isAboveStop()) {
            String how = battery.isCharging() ? "next.hot.charging" : "next.hot";
            Severity severity = battery.isCharging() ? Severity.STOP : Severity.ACT;
            add(
                    NextStep.COOL,
                    severity,
                    Message.of(
                            how,
                            heat.celsius(),
                            limit(RuleKey.chargeStop(battery.model().duty()))));
        }
    }

    private Object limit(RuleKey rule) {
        return battery.rules().celsius(rule);
    }

    private void defects() {
        for (OpenDefect defect : battery.defects()) {
            boolean endsCharge = battery.isCharging() && defect.kind().shutsCharge();
            add(
                    NextStep.RIGHT_DEFECT,
                    endsCharge ? Severity.STOP : defect.kind().severity(),
                    Message.of(endsCharge ? "next.defect.charging" : "next.defect", defect.kind(), defect.since()),
                    defect.kind().fixedBy().stream().findFirst().orElse(null));
        }
    }

    /** What is known of the levels, whichever of looking, pouring and drawing off told it last. */
    private void levels() {
        if (!battery.model().kind().hasCaps()) {
            return;
        }
        Cells bare = new Cells(battery.levels().bare());
        Cells over = new Cells(battery.levels().over());
        Cells low = new Cells(battery.levels().low());
        if (!bare.isEmpty()) {
            String how = battery.isCharging() ? "next.bare.charging" : "finding.dry.exposed";
            add(NextStep.COVER_PLATES, Severity.STOP, Message.of(how, bare));
        }
        if (!over.isEmpty()) {
            add(NextStep.DRAW_OFF, Severity.ACT, Message.of("finding.overfilled", over));
        }
        if (!low.isEmpty() && bare.isEmpty()) {
            add(NextStep.WATER, Severity.WATCH, Message.of("finding.dry.low", low));
        }
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
                add(NextStep.COMPARE_HYDROMETER, severity, Message.of("next.hydrometer", (int) doubt.points()));
            }
            add(
                    step,
                    doubt == null ? severity : Severity.WATCH,
                    acted ? Message.of("next.since." + step) : finding.finding().sentence());
        }
    }

    /** What a driver says is worked up while he remembers. */
    private void complaint() {
        Instant since = battery.complainedOf();
        if (since != null) {
            add(NextStep.WORK_UP, Severity.WATCH, Message.of("next.work-up.why", since));
        }
    }

    /** Blocks under a tap do the pack's work and the tap's besides: once a year others take their turn. Practice {@code pack.taps}. */
    private void tap() {
        due(battery.sameBlocksTappedSince(), RuleKey.TAP_TURN, NextStep.MOVE_TAP, "next.tap.due", battery.asOf());
    }

    /** A few cells low or over, the others right: that is their injectors. And each year it is looked over. */
    private void kit() {
        StuckInjectors stuck = battery.stuckInjectors();
        if (!stuck.closed().isEmpty()) {
            add(NextStep.LOOK_AT_KIT, Severity.ACT, Message.of("next.kit.closed", stuck.closed()));
        }
        if (!stuck.open().isEmpty()) {
            add(NextStep.LOOK_AT_KIT, Severity.ACT, Message.of("next.kit.open", stuck.open()));
        }
        if (battery.kit().isOn()) {
            due(battery.kit().looked(), RuleKey.KIT_LOOK, NextStep.LOOK_AT_KIT, "next.kit.due", battery.asOf());
        }
    }

    /** A stop-gap has a date; it is told all the while, and asked for when the date comes near. */
    private void bridged() {
        battery.cells()
                .bridged()
                .forEach((cell, until) -> put(new NextThing(
                        code,
                        NextStep.REPAIR_CELL,
                        severity(until),
                        NextStep.REPAIR_CELL.job(),
                        Message.of("next.bridged.do", code, new Cells(List.of(cell))),
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

    private static boolean isAboutLevels(StandingFinding finding) {
        return switch (finding.finding().code()) {
            case CELL_DRY, CELL_OVERFILLED -> true;
            default -> false;
        };
    }

    private void charge() {
        Instant flat = battery.charging().stoodFlat();
        if (flat != null) {
            add(NextStep.CHARGE, Severity.ACT, Message.of("next.charge.stood-flat", flat));
        }
        if (battery.tests().isRechargeDue()) {
            add(NextStep.CHARGE, Severity.ACT, Message.of("next.charge.tested"));
        }
        stoodTooLong();
        ChargeRange range = battery.charge();
        double soon = battery.rules().percent(RuleKey.CHARGE_SOON) / 100.0;
        if (battery.full().isNo() && range.isKnown() && range.likely() <= soon) {
            add(
                    NextStep.CHARGE,
                    Severity.ACT,
                    Message.of("next.charge.low", range.percent().percent()));
        }
    }

    /** After a repair the string is charged in full, equalised, and read, in that order. Practice {@code cell.after}. */
    private void renewed() {
        Renewal renewal = battery.cells().renewal().orElse(null);
        if (renewal == null || Duration.between(renewal.at(), battery.asOf()).compareTo(NEW_FOR) > 0) {
            return;
        }
        Cells cells = new Cells(renewal.cells());
        boolean equalised = isSince(renewal, battery.charging().equalised());
        if (!equalised && !isChargedSince(renewal)) {
            add(NextStep.CHARGE, Severity.ACT, Message.of("next.renewed.CHARGE", cells));
        } else if (!equalised && mayBeEqualised()) {
            add(NextStep.EQUALISE, Severity.ACT, Message.of("next.renewed.EQUALISE", cells));
        } else if (!isSince(renewal, battery.roundAt())
                && battery.model().kind().hasCaps()) {
            add(NextStep.TAKE_ROUND, Severity.ACT, Message.of("next.renewed.TAKE_ROUND", cells));
        }
    }

    /** What was stopped or broken off was no full charge. */
    private boolean isChargedSince(Renewal renewal) {
        return isSince(renewal, battery.charging().chargeEnded())
                && !battery.charging().ending().isBeforeFull();
    }

    private static boolean isSince(Renewal renewal, @Nullable Instant done) {
        return done != null && done.isAfter(renewal.at());
    }

    /** An aircraft's battery has a procedure of its own; a sealed one is never equalised. */
    private boolean mayBeEqualised() {
        return battery.model().kind().hasCaps() && battery.model().duty() != Duty.AIRCRAFT;
    }

    /** An aircraft's battery loses what it has faster than any other: so many days without a charge are the most. */
    private void stoodTooLong() {
        Instant ended = battery.charging().chargeEnded();
        if (battery.model().duty() == Duty.AIRCRAFT && ended != null && !battery.isCharging()) {
            Instant due = ended.plus(battery.rules().duration(RuleKey.STORE_CHARGE_AIRCRAFT));
            if (due.isBefore(battery.asOf())) {
                add(NextStep.CHARGE, Severity.WATCH, Message.of("next.charge.stood", ended));
            }
        }
    }

    /** @return how often a battery of such work is tested without suspicion; empty where it is not */
    public static Optional<RuleKey> testInterval(Duty duty) {
        return switch (duty) {
            case AIRCRAFT -> Optional.of(RuleKey.TEST_AIRCRAFT);
            case STATIONARY -> Optional.of(RuleKey.TEST_STATIONARY);
            case MOTIVE, DEEP_CYCLE -> Optional.empty();
        };
    }

    /** Yearly where lives or standby hang on it; elsewhere on suspicion. Practice {@code test.capacity}. */
    private void testDue(Instant now) {
        RuleKey rule = testInterval(battery.model().duty()).orElse(null);
        if (rule == null) {
            return;
        }
        Instant last = battery.tests().at();
        if (last == null) {
            add(NextStep.TEST_CAPACITY, Severity.WATCH, Message.of("next.test.never"));
        } else {
            due(last, rule, NextStep.TEST_CAPACITY, "next.test.due", now);
        }
    }

    private void care() {
        Instant now = battery.asOf();
        if (battery.stage() == Stage.STORED) {
            // What is put away goes by its look-ins and its latest charge, not by the calendar of work.
            return;
        }
        if (battery.model().kind().hasCaps()) {
            if (things.keySet().stream().noneMatch(NextThings::endsInReadings)) {
                roundDue(now);
            }
            waterDue(now);
        }
        testDue(now);
        due(battery.care().washed(), RuleKey.WASH_INTERVAL, NextStep.WASH, "next.wash.due", now);
    }

    private static boolean endsInReadings(NextStep step) {
        return step.isReading() || step == NextStep.EQUALISE;
    }

    private void roundDue(Instant now) {
        RuleKey rule = RuleKey.roundInterval(battery.model().duty());
        if (battery.roundAt() == null) {
            add(NextStep.TAKE_ROUND, Severity.WATCH, Message.of("next.round.never"));
        } else {
            due(battery.roundAt(), rule, NextStep.TAKE_ROUND, "next.round.due", now);
        }
    }

    /** Low cells have spoken for themselves already. */
    private void waterDue(Instant now) {
        WaterDue water = battery.waterDue();
        if (water == null || water.from() == null || !water.isDue(now)) {
            return;
        }
        String reason = water.basis() == WaterDue.Basis.RECORD ? "next.water.reckoned" : "next.water.due";
        due(water.from(), water.lasts(), NextStep.WATER, reason, now);
    }

    private void due(@Nullable Instant last, RuleKey rule, NextStep step, String reason, Instant now) {
        if (last != null) {
            due(last, battery.rules().duration(rule), step, reason, now);
        }
    }

    private void due(Instant last, Duration interval, NextStep step, String reason, Instant now) {
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

    /** The table of sentences that may not stand together, kept where they would be said. */
    private void takeAwayWhatCannotBe() {
        Set<NextStep> asked = things.keySet();
        if (battery.isCharging()) {
            asked.removeIf(step -> step.isCharge() || step.isReading());
            asked.removeAll(Set.of(
                    NextStep.WATER, NextStep.DRAW_OFF, NextStep.WASH, NextStep.TEST_CAPACITY, NextStep.LOOK_AT_KIT));
        }
        if (!battery.full().isYes()) {
            asked.remove(NextStep.WATER);
        } else {
            asked.remove(NextStep.CHARGE);
        }
        if (battery.mixed().isNo()) {
            asked.removeIf(NextStep::isReading);
        }
        // Readings come before water, which would thin the samples.
        if (asked.contains(NextStep.TAKE_ROUND)) {
            asked.remove(NextStep.WATER);
        }
        if (battery.isKeptFromCharge()) {
            asked.removeIf(NextStep::isCharge);
        }
        if (!battery.levels().over().isEmpty()) {
            asked.remove(NextStep.WATER);
        }
    }

    private void add(NextStep step, Severity severity, Message reason) {
        // A cell of a block cannot be taken out: the block is changed as the pack's drawing has it.
        boolean inBlock =
                step == NextStep.REPAIR_CELL && battery.model().layout().isPack();
        add(step, severity, reason, inBlock ? null : step.job());
    }

    private void add(NextStep step, Severity severity, Message reason, @Nullable String procedure) {
        put(new NextThing(code, step, severity, procedure, what(step), reason, null, 0, StepTimes.of(step, battery)));
    }

    /** Between the cells of a block no voltmeter comes: what can be read is each block. */
    private Message what(NextStep step) {
        boolean byBlock =
                step == NextStep.READ_CHARGE_VOLTS && battery.model().layout().cellsPerCase() > 1;
        return Message.of("next." + step + (byBlock ? ".blocks" : ""), code);
    }

    /** Each kind once, by its gravest reason. */
    private void put(NextThing thing) {
        things.merge(
                thing.step(), thing, (before, now) -> now.severity().compareTo(before.severity()) > 0 ? now : before);
    }
}
