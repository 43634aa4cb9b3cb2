package org.ostendum.planner;

import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.score.calculator.IncrementalScoreCalculator;
import org.jspecify.annotations.NullUnmarked;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.cost.Rest;
import org.ostendum.core.plan.cost.Rotation;

/**
 * Keeps the score while the search changes one thing after the other: what a work adds is taken off before it changes and put on after.
 * Hard counts minutes and the like by which a rule is broken, medium shifts without a battery, the soonest most, soft the other terms in hundredths.
 */
@NullUnmarked
public final class ScoreKeeper implements IncrementalScoreCalculator<RoomPlan, HardMediumSoftLongScore> {
    private static final long NOT_TOGETHER = 100;
    private static final long AWAY = 60;
    private static final long FIRST_LEFT = 1000;
    private static final long UNMET = 100;
    private static final long LESS_EACH_SECONDS = 1800;
    private static final long TOO_FEW_HANDS = 10;
    private static final long MOST_LATE = 10_000;
    private Pricing pricing;
    private Loads loads;
    private HandOvers handOvers;
    private Machines machines;
    private Occupancy occupancy;
    private long hard;
    private long medium;
    private long soft;
    private long moves;
    private long mayMove;

    public ScoreKeeper() {}

    @Override
    public void resetWorkingSolution(RoomPlan plan) {
        pricing = plan.getPricing();
        loads = new Loads(pricing);
        machines = new Machines(plan.getWorks());
        occupancy = new Occupancy(
                plan.problem().batteries().size(), plan.problem().chargers().size());
        handOvers = new HandOvers(plan, machines, occupancy);
        hard = 0;
        medium = 0;
        soft = 0;
        moves = 0;
        mayMove = plan.mayMove();
        plan.getWorks().forEach(work -> work.counted = false);
        plan.getWorks().forEach(this::putOn);
    }

    @Override
    public void beforeVariableChanged(Object work, String variable) {
        takeOff((WorkAndCharge) work);
    }

    @Override
    public void afterVariableChanged(Object work, String variable) {
        putOn((WorkAndCharge) work);
    }

    @Override
    public HardMediumSoftLongScore calculateScore() {
        return HardMediumSoftLongScore.of(
                -hard - loads.over() - TOO_FEW_HANDS * handOvers.over(),
                -medium - UNMET * Math.max(0, moves - mayMove),
                -soft - pricing.peak(loads.peak()));
    }

    private void takeOff(WorkAndCharge work) {
        occupancy.remove(work);
        if (work.isWorked()) {
            handOvers.afterCharge(work);
        }
        count(work, -1);
        work.counted = false;
    }

    private void putOn(WorkAndCharge work) {
        work.reckon();
        count(work, 1);
        work.counted = true;
        occupancy.add(work);
        if (work.isWorked()) {
            handOvers.afterCharge(work);
        }
        handOvers.at(work);
    }

    /** @return what each battery does at the moment, kept with the score */
    Occupancy occupancy() {
        return occupancy;
    }

    /** @param sign 1 to put on, -1 to take off what the work adds beside all others */
    private void count(WorkAndCharge work, int sign) {
        if (!work.isWorked()) {
            medium += work.first ? 0 : sign * unmet(work);
            hard += work.first ? sign * FIRST_LEFT : 0;
            return;
        }
        moves += (long) sign * work.moves();
        hard += sign * alone(work);
        soft += sign * cost(work);
        for (WorkAndCharge other : occupancy.having(work.getBattery())) {
            pair(work, other, sign);
        }
        if (work.isCharged()) {
            loads.add(work, sign);
            for (WorkAndCharge other : occupancy.on(work.getOutlet())) {
                hard += sign * together(work, other);
            }
        }
    }

    /** Of two shifts that may go without, the later one does: until then something may turn up. */
    private static long unmet(WorkAndCharge work) {
        return UNMET - Math.min(UNMET / 2, work.start / LESS_EACH_SECONDS);
    }

    private static long alone(WorkAndCharge work) {
        long broken = work.getOutlet() != null && work.pairing() == null ? NOT_TOGETHER : 0;
        if (work.isCharged() && work.getOutlet().isAway(work.chargeStart(), work.chargeEnd())) {
            broken += AWAY;
        }
        Stock battery = work.getBattery();
        if (!work.first && battery.full() && battery.readyAt() > work.neededBy) {
            broken += late(battery.readyAt() - work.neededBy);
        }
        return broken;
    }

    private static long late(long seconds) {
        return 1 + Math.min(MOST_LATE, seconds / 60);
    }

    private void pair(WorkAndCharge one, WorkAndCharge other, int sign) {
        WorkAndCharge first = one.order < other.order ? one : other;
        WorkAndCharge then = one.order < other.order ? other : one;
        if (first.ready() > then.neededBy) {
            hard += sign * late(first.ready() - then.neededBy);
            return;
        }
        soft += sign * pricing.weigh(Term.LATE, first.lateness(then.neededBy));
        if (!first.getBattery().fixed()) {
            soft += sign * pricing.weigh(Term.REST, Rest.hoursShort((then.start - first.ready()) / 3600.0));
        }
    }

    private static long together(WorkAndCharge one, WorkAndCharge other) {
        long from = Math.max(one.chargeStart(), other.chargeStart());
        long until = Math.min(one.chargeEnd(), other.chargeEnd());
        return other.isCharged() && from < until ? 1 + (until - from) / 60 : 0;
    }

    private long cost(WorkAndCharge work) {
        long cost = pricing.energy(work);
        if (pricing.isLeft(work)) {
            cost += pricing.weigh(Term.UNCHARGED, 1);
        }
        if (!work.first && !work.getBattery().fixed()) {
            cost += rotation(work) + changes(work);
        }
        return cost + pricing.weigh(Term.MOVED, work.moves());
    }

    /** What one use more costs its battery, beside the others it has. */
    private long rotation(WorkAndCharge work) {
        int uses = 0;
        for (WorkAndCharge other : occupancy.having(work.getBattery())) {
            uses += other.first ? 0 : 1;
        }
        int handicap = work.getBattery().handicap();
        double cost = Rotation.cost(handicap, uses + 1) - Rotation.cost(handicap, uses);
        return pricing.weigh(Term.ROTATION, cost);
    }

    private long changes(WorkAndCharge work) {
        WorkAndCharge before = machines.before(work);
        WorkAndCharge next = machines.after(work);
        int changes = 0;
        if (before == null) {
            changes += work.getBattery().code().equals(work.found) ? 0 : 1;
        } else if (isOther(before, work)) {
            changes++;
        }
        if (next != null && isOther(next, work)) {
            changes++;
        }
        return pricing.weigh(Term.CHANGES, changes);
    }

    /** Two shifts that follow one another count once: with the second of them that is put on. */
    private static boolean isOther(WorkAndCharge neighbour, WorkAndCharge work) {
        return neighbour.counted
                && neighbour.isWorked()
                && !neighbour.getBattery().equals(work.getBattery());
    }

    @Override
    public void beforeEntityAdded(Object entity) {}

    @Override
    public void afterEntityAdded(Object entity) {
        putOn((WorkAndCharge) entity);
    }

    @Override
    public void beforeEntityRemoved(Object entity) {
        takeOff((WorkAndCharge) entity);
    }

    @Override
    public void afterEntityRemoved(Object entity) {}
}
