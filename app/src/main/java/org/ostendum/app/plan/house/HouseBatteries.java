package org.ostendum.app.plan.house;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.equalise.EqualiseProposal;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.life.BreakIn;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.next.StepTimes;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.WaterDue;
import org.ostendum.core.state.fact.Stage;

/** Batteries of the house as the plan sees them: by the one state that every screen asks. */
public final class HouseBatteries {
    /** Practice {@code charge.never-discharge-below}: 80 % of depth. */
    private static final double LEAST_SOC = 0.2;

    /** Where nobody knows how full a battery is, half is taken to be missing. */
    private static final double UNKNOWN_MISSING = 0.5;

    private static final double LEAST_MISSING = 0.05;
    private static final Duration WINDOW = Duration.ofDays(2);

    private final Instant until;
    private final LocalDate today;

    HouseBatteries(Instant until, LocalDate today) {
        this.until = until;
        this.today = today;
    }

    /** @return whether the plan leaves it alone: it may not work, or wants a charge that may not begin */
    public static boolean isHeld(BatteryState state) {
        return mayNotCharge(state)
                || state.stage() != Stage.IN_SERVICE
                || state.heldFor() != null
                || state.inHand() != null
                || state.severity() == Severity.STOP
                || state.defects().stream().anyMatch(defect -> defect.kind().shutsIssue())
                || state.cells().isBridgedTooLong();
    }

    /**
     * @return whether a job is to be planned, or still to be done, on a battery as it is by now: one that may not work is read and
     *     watered all the same, one that could not be charged after it is not emptied
     */
    public static boolean mayHave(Task what, BatteryState state) {
        return switch (what) {
            // Water floats on top until a charge has mixed it in: until then nothing is read.
            case ROUND -> isInReach(state) && !state.mixed().isNo();
            case WASH -> isInReach(state);
            // What is over the mark is drawn off, and bare plates are covered and charged, before anybody fills it.
            case WATER ->
                isInReach(state)
                        && state.levels().over().isEmpty()
                        && state.levels().bare().isEmpty();
            case TEST ->
                isInReach(state)
                        && !mayNotCharge(state)
                        && state.defects().stream()
                                .noneMatch(defect -> defect.kind().shutsCharge());
            // A full one that is kept from charge goes to work first; nobody puts it on a charger as it is.
            case EQUALISE -> !isHeld(state) && (state.isCharging() || !state.isKeptFromCharge());
            case USE, CHARGE, COOL, CHANGE -> !isHeld(state);
        };
    }

    /** Nobody opens, fills or washes what leaks. */
    private static boolean isInReach(BatteryState state) {
        return state.stage() == Stage.IN_SERVICE && state.inHand() == null && !state.isCaseDamaged();
    }

    private static boolean mayNotCharge(BatteryState state) {
        return state.isKeptFromCharge() && !state.full().isYes() && !state.isCharging();
    }

    PoolBattery of(Battery battery, BatteryState state, int cycles, Rules rules, boolean flat, boolean out) {
        double capacity = battery.type().model().capacity().ampHours();
        return new PoolBattery(
                battery.code(),
                state.cells().nominalVolts(),
                battery.type().connector(),
                battery.type().weightKg(),
                capacity,
                flat ? capacity * (1 - LEAST_SOC) : missing(state, capacity),
                state.heat().coolingUntil(),
                out || isHeld(state),
                leastSoc(battery, state, rules),
                cycles,
                battery.place() == null ? "" : battery.place(),
                due(battery.code(), state));
    }

    /** A new battery is not taken down as far until it is broken in. */
    private double leastSoc(Battery battery, BatteryState state, Rules rules) {
        return BreakIn.of(
                        battery.inServiceOn(), today, state.charging().cycles().onRecord(), rules)
                .map(breakIn -> Math.max(LEAST_SOC, 1 - breakIn.depthPercent() / 100.0))
                .orElse(LEAST_SOC);
    }

    static double missing(BatteryState state, double capacity) {
        if (!state.isCharging() && (state.full().isYes() || state.heat().isCooling())) {
            return 0;
        }
        double part = state.charge().isKnown() ? 1 - state.charge().likely() : UNKNOWN_MISSING;
        return Math.round(capacity * Math.max(LEAST_MISSING, part));
    }

    private List<Due> due(String code, BatteryState state) {
        List<Due> due = new ArrayList<>();
        if (state.model().kind().hasCaps()) {
            careUnderCaps(due, state);
        }
        add(due, Task.TEST, NextStep.TEST_CAPACITY, testAt(code, state), state);
        return due;
    }

    /** By the list of what comes next where it is due or suspected now, else when it falls due. */
    private @Nullable Instant testAt(String code, BatteryState state) {
        boolean now = NextThings.of(code, state).stream().anyMatch(thing -> thing.step() == NextStep.TEST_CAPACITY);
        return now
                ? state.asOf()
                : RuleKey.testInterval(state.model().duty())
                        .map(interval -> after(state.tests().at(), state, interval))
                        .orElse(null);
    }

    private void careUnderCaps(List<Due> due, BatteryState state) {
        WaterDue water = state.waterDue();
        add(due, Task.WATER, NextStep.WATER, water == null ? null : water.at(), state);
        add(due, Task.ROUND, NextStep.TAKE_ROUND, roundDue(state), state);
        if (EqualiseProposal.of(state).isPresent()) {
            add(due, Task.EQUALISE, NextStep.EQUALISE, state.asOf(), state);
        }
        add(due, Task.WASH, NextStep.WASH, after(state.care().washed(), state, RuleKey.WASH_INTERVAL), state);
    }

    /** One that was never read is read at once: nobody waters it before. */
    private static Instant roundDue(BatteryState state) {
        RuleKey interval = RuleKey.roundInterval(state.model().duty());
        Instant due = after(state.roundAt(), state, interval);
        return due == null ? state.asOf() : due;
    }

    private static @Nullable Instant after(@Nullable Instant last, BatteryState state, RuleKey interval) {
        return last == null ? null : last.plus(state.rules().duration(interval));
    }

    private void add(List<Due> due, Task what, NextStep step, @Nullable Instant at, BatteryState state) {
        if (at == null || !at.isBefore(until) || !mayHave(what, state)) {
            return;
        }
        NextThing.Time time = StepTimes.of(step, state);
        Instant from = at.isBefore(state.asOf()) ? state.asOf() : at;
        boolean goesOn = what == Task.EQUALISE || what == Task.TEST;
        int takes = goesOn ? (int) time.inAll().toMinutes() : 0;
        due.add(new Due(what, from, from.plus(WINDOW), (int) time.handsOn().toMinutes(), takes));
    }
}
