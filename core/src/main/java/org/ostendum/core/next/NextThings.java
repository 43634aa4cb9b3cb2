package org.ostendum.core.next;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;

/**
 * Works out what a battery needs next, from its state alone. What stands in the way of something else comes first, and what
 * cannot be done now is not asked for: nothing is watered, read or charged while it charges, no charge on bare plates, in heat or
 * over the mark, no water before it is full.
 */
public final class NextThings {
    /** What is not done to a case that may leak. */
    private static final Set<NextStep> OPENS_OR_WETS = Set.of(
            NextStep.READ_AGAIN, NextStep.READ_AFTER_EQUALISE, NextStep.TAKE_ROUND, NextStep.WATER, NextStep.WASH);

    private final BatteryState battery;
    private final ThingsFound found;

    private NextThings(String code, BatteryState battery) {
        this.battery = battery;
        this.found = new ThingsFound(code, battery);
    }

    /** @return the battery's jobs, each kind once, most urgent first */
    public static List<NextThing> of(String code, BatteryState battery) {
        return new NextThings(code, battery).workedOut();
    }

    private List<NextThing> workedOut() {
        if (battery.stage() == Stage.RETIRED || battery.stage() == Stage.ORDERED) {
            return List.of();
        } else if (battery.stage() == Stage.DRY) {
            found.add(NextStep.COMMISSION, Severity.ACT, Message.of("next.commission.why"));
            new DangerThings(found).defects();
            return found.inOrder();
        }
        new DangerThings(found).find();
        new FoundThings(found).find();
        new ChargeThings(found).find();
        new CareThings(found).find();
        fullFirst();
        takeAwayWhatCannotBe();
        return found.inOrder();
    }

    /** A low current on a battery that is not full would only heat it: it is charged first. Practice {@code equalise.how}. */
    private void fullFirst() {
        NextThing equalise = found.get(NextStep.EQUALISE);
        if (equalise != null && battery.full().isNo()) {
            found.steps().remove(NextStep.EQUALISE);
            found.add(NextStep.CHARGE, equalise.severity(), Message.of("next.charge.equalise"));
        }
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

    /** The table of sentences that may not stand together, kept where they would be said. */
    private void takeAwayWhatCannotBe() {
        Set<NextStep> asked = found.steps();
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
        if (battery.isKeptFromCharge()) {
            asked.removeIf(NextStep::isCharge);
        }
        if (battery.isCaseDamaged()) {
            asked.removeAll(OPENS_OR_WETS);
        }
        // Equalising is not done on topped up cells, and water would thin the samples: both come before it.
        if (asked.contains(NextStep.TAKE_ROUND) || asked.contains(NextStep.EQUALISE)) {
            asked.remove(NextStep.WATER);
        }
        if (!battery.levels().over().isEmpty()) {
            asked.remove(NextStep.WATER);
        }
    }
}
