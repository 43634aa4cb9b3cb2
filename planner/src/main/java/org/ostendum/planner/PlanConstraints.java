package org.ostendum.planner;

import static ai.timefold.solver.core.api.score.stream.ConstraintCollectors.count;
import static ai.timefold.solver.core.api.score.stream.ConstraintCollectors.max;
import static ai.timefold.solver.core.api.score.stream.ConstraintCollectors.sumLong;

import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.score.stream.Constraint;
import ai.timefold.solver.core.api.score.stream.ConstraintFactory;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;
import ai.timefold.solver.core.api.score.stream.Joiners;
import ai.timefold.solver.core.api.score.stream.uni.UniConstraintStream;
import org.jspecify.annotations.NullUnmarked;
import org.ostendum.core.plan.Rest;
import org.ostendum.core.plan.Rotation;
import org.ostendum.core.plan.Term;

/** What the search keeps to and what it weighs: the hard rules as far as decisions can break them, and the terms of {@link Term}. */
@NullUnmarked
public class PlanConstraints implements ConstraintProvider {
    private static final HardMediumSoftLongScore HARD = HardMediumSoftLongScore.ONE_HARD;
    private static final HardMediumSoftLongScore SOFT = HardMediumSoftLongScore.ONE_SOFT;

    @Override
    public Constraint[] defineConstraints(ConstraintFactory factory) {
        return new Constraint[] {
            goesTogether(factory),
            chargerIsThere(factory),
            firstChargeStays(factory),
            fullAndCoolFromTheStart(factory),
            readyBeforeItWorks(factory),
            oneOnACharger(factory),
            power(factory),
            hydrogen(factory),
            unmet(factory),
            uncharged(factory),
            energy(factory),
            peak(factory),
            rotation(factory),
            rest(factory),
            changes(factory),
            changesOfTheFirst(factory),
            moved(factory)
        };
    }

    private static UniConstraintStream<WorkAndCharge> charges(ConstraintFactory factory) {
        return factory.forEach(WorkAndCharge.class).filter(WorkAndCharge::isWorked);
    }

    Constraint goesTogether(ConstraintFactory factory) {
        return charges(factory)
                .filter(work -> work.pairing() == null)
                .penalizeLong(HARD, work -> 100)
                .asConstraint("a battery on a charger that goes with it");
    }

    Constraint chargerIsThere(ConstraintFactory factory) {
        return charges(factory)
                .filter(work -> work.isCharged() && work.getOutlet().isAway(work.chargeStart(), work.chargeEnd()))
                .penalizeLong(HARD, work -> 60)
                .asConstraint("a charger that is there");
    }

    Constraint firstChargeStays(ConstraintFactory factory) {
        return factory.forEachIncludingUnassigned(WorkAndCharge.class)
                .filter(work -> work.first && !work.isWorked())
                .penalizeLong(HARD, work -> 1000)
                .asConstraint("what lacks something is charged");
    }

    Constraint fullAndCoolFromTheStart(ConstraintFactory factory) {
        return charges(factory)
                .filter(work -> !work.first
                        && work.getBattery().full()
                        && work.getBattery().readyAt() > work.start)
                .penalizeLong(HARD, work -> 1 + (work.getBattery().readyAt() - work.start) / 60)
                .asConstraint("cool before it works");
    }

    Constraint readyBeforeItWorks(ConstraintFactory factory) {
        return factory.forEach(WorkAndCharge.class)
                .join(
                        WorkAndCharge.class,
                        Joiners.equal(WorkAndCharge::getBattery),
                        Joiners.lessThan(PlanConstraints::order))
                .filter((one, then) -> one.ready() > then.start)
                .penalizeLong(HARD, (one, then) -> 1 + Math.min(10_000, (one.ready() - then.start) / 60))
                .asConstraint("charged and cool before it works");
    }

    /** Unlike for any two: by the beginning, the first charge before all. */
    private static String order(WorkAndCharge work) {
        return work.first ? "" : String.format("%012d", work.start) + work.key;
    }

    Constraint oneOnACharger(ConstraintFactory factory) {
        return factory.forEachUniquePair(WorkAndCharge.class, Joiners.equal(WorkAndCharge::getOutlet))
                .filter(WorkAndCharge::isOnAt)
                .penalizeLong(
                        HARD,
                        (one, other) -> 1
                                + (Math.min(one.chargeEnd(), other.chargeEnd())
                                                - Math.max(one.chargeStart(), other.chargeStart()))
                                        / 60)
                .asConstraint("one on a charger");
    }

    Constraint power(ConstraintFactory factory) {
        return charges(factory)
                .flattenLast(WorkAndCharge::loads)
                .groupBy(Load::half, sumLong(Load::watts))
                .join(Pricing.class)
                .filter((half, watts, pricing) -> pricing.wattsOver(watts) > 0)
                .penalizeLong(HARD, (half, watts, pricing) -> 10 + pricing.wattsOver(watts) / 100)
                .asConstraint("power of the room");
    }

    Constraint hydrogen(ConstraintFactory factory) {
        return charges(factory)
                .flattenLast(WorkAndCharge::loads)
                .groupBy(Load::half, sumLong(Load::millilitres))
                .join(Pricing.class)
                .filter((half, gas, pricing) -> pricing.millilitresOver(gas) > 0)
                .penalizeLong(HARD, (half, gas, pricing) -> 10 + pricing.millilitresOver(gas) / 1000)
                .asConstraint("hydrogen of the room");
    }

    Constraint unmet(ConstraintFactory factory) {
        return factory.forEachIncludingUnassigned(WorkAndCharge.class)
                .filter(work -> !work.isWorked())
                .penalizeLong(HardMediumSoftLongScore.ONE_MEDIUM, work -> 1)
                .asConstraint(Term.UNMET.word());
    }

    Constraint uncharged(ConstraintFactory factory) {
        return charges(factory)
                .join(Pricing.class)
                .filter((work, pricing) -> pricing.isLeft(work))
                .penalizeLong(SOFT, (work, pricing) -> pricing.weigh(Term.UNCHARGED, 1))
                .asConstraint(Term.UNCHARGED.word());
    }

    Constraint energy(ConstraintFactory factory) {
        return charges(factory)
                .join(Pricing.class)
                .penalizeLong(SOFT, (work, pricing) -> pricing.energy(work))
                .asConstraint(Term.ENERGY.word());
    }

    Constraint peak(ConstraintFactory factory) {
        return charges(factory)
                .flattenLast(WorkAndCharge::loads)
                .groupBy(Load::half, sumLong(Load::watts))
                .map((half, watts) -> watts)
                .groupBy(max((Long watts) -> watts))
                .join(Pricing.class)
                .penalizeLong(SOFT, (watts, pricing) -> pricing.weigh(Term.PEAK, watts / 1000.0))
                .asConstraint(Term.PEAK.word());
    }

    Constraint rotation(ConstraintFactory factory) {
        return charges(factory)
                .filter(work -> !work.first && !work.getBattery().fixed())
                .groupBy(WorkAndCharge::getBattery, count())
                .join(Pricing.class)
                .penalizeLong(
                        SOFT,
                        (battery, uses, pricing) ->
                                pricing.weigh(Term.ROTATION, Rotation.cost(battery.handicap(), uses)))
                .asConstraint(Term.ROTATION.word());
    }

    Constraint rest(ConstraintFactory factory) {
        return factory.forEach(WorkAndCharge.class)
                .join(
                        WorkAndCharge.class,
                        Joiners.equal(WorkAndCharge::getBattery),
                        Joiners.lessThan(PlanConstraints::order))
                .filter((one, then) -> !one.getBattery().fixed() && one.ready() <= then.start)
                .join(Pricing.class)
                .penalizeLong(
                        SOFT,
                        (one, then, pricing) ->
                                pricing.weigh(Term.REST, Rest.hoursShort((then.start - one.ready()) / 3600.0)))
                .asConstraint(Term.REST.word());
    }

    Constraint changes(ConstraintFactory factory) {
        return factory.forEach(WorkAndCharge.class)
                .join(WorkAndCharge.class, Joiners.equal(WorkAndCharge::getKey, WorkAndCharge::getBefore))
                .filter((one, then) -> !one.getBattery().equals(then.getBattery()))
                .join(Pricing.class)
                .penalizeLong(SOFT, (one, then, pricing) -> pricing.weigh(Term.CHANGES, 1))
                .asConstraint(Term.CHANGES.word());
    }

    Constraint changesOfTheFirst(ConstraintFactory factory) {
        return charges(factory)
                .filter(work -> !work.first
                        && work.getBefore() == null
                        && !work.getBattery().code().equals(work.found))
                .join(Pricing.class)
                .penalizeLong(SOFT, (work, pricing) -> pricing.weigh(Term.CHANGES, 1))
                .asConstraint(Term.CHANGES.word() + " of the first");
    }

    Constraint moved(ConstraintFactory factory) {
        return charges(factory)
                .filter(work -> work.earlier.battery() != null)
                .join(Pricing.class)
                .penalizeLong(SOFT, (work, pricing) -> pricing.weigh(Term.MOVED, moves(work)))
                .asConstraint(Term.MOVED.word());
    }

    private static int moves(WorkAndCharge work) {
        WorkAndCharge.Before was = work.earlier;
        boolean other = !work.getBattery().code().equals(was.battery());
        boolean elsewhere = was.charger() != null
                && (other
                        || !work.getOutlet().code().equals(was.charger())
                        || Math.abs(work.chargeStart() - was.chargeStart()) > WorkAndCharge.WAIT_STEP);
        return (other && !work.first ? 1 : 0) + (elsewhere ? 1 : 0);
    }
}
