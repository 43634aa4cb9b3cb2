package org.ostendum.app.state;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.rules.RuleChanges;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.history.CellPast;
import org.ostendum.core.judge.Case;
import org.ostendum.core.measure.Round;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.fact.OpenDefect;
import org.springframework.stereotype.Service;

/** The one state of each battery, which every screen, gate, list and program asks. */
@Service
public class BatteryStates {
    private final BatteryFolds folds;
    private final States states;
    private final Defects defects;
    private final RuleChanges ruleChanges;
    private final Measured measured;
    private final InHand inHand;
    private final RoomShifts shifts;
    private final Clock clock;

    public BatteryStates(
            BatteryFolds folds,
            States states,
            Defects defects,
            RuleChanges ruleChanges,
            Measured measured,
            InHand inHand,
            RoomShifts shifts,
            Clock clock) {
        this.folds = folds;
        this.states = states;
        this.defects = defects;
        this.ruleChanges = ruleChanges;
        this.measured = measured;
        this.inHand = inHand;
        this.shifts = shifts;
        this.clock = clock;
    }

    /** Folds the battery anew from everything on record and keeps the result. */
    public void refresh(Battery battery) {
        refresh(battery, ruleChanges.now());
    }

    StoredState refresh(Battery battery, Rulebook book) {
        StoredState state = folds.stored(battery, folds.all(battery, book), book);
        states.keep(state);
        shifts.changed();
        return state;
    }

    /** @return where the battery's fold stands by the rules of now */
    StoredState stored(Battery battery, Rulebook book) {
        return stored(List.of(battery), book).values().iterator().next();
    }

    private Map<Long, StoredState> stored(Collection<Battery> batteries, Rulebook book) {
        Map<Long, StoredState> known =
                states.of(batteries.stream().map(Battery::id).toList());
        for (Battery battery : batteries) {
            StoredState state = known.get(battery.id());
            if (state == null || state.rulesRevision() != book.revision()) {
                known.put(battery.id(), refresh(battery, book));
            }
        }
        return known;
    }

    /** The present state of each battery. By the battery's id. */
    public Map<Long, BatteryState> statesOf(Collection<Battery> batteries) {
        return statesOf(batteries, ruleChanges.now());
    }

    /** The same by a Rulebook already at hand. */
    public Map<Long, BatteryState> statesOf(Collection<Battery> batteries, Rulebook book) {
        Map<Long, StoredState> known = stored(batteries, book);
        Map<Long, List<OpenDefect>> ofMachines = ofMachines(batteries);
        Map<Long, InHand.Taken> taken = inHand.now();
        Map<Long, BatteryState> now = new HashMap<>();
        for (Battery battery : batteries) {
            StoredState state = Objects.requireNonNull(known.get(battery.id()));
            now.put(
                    battery.id(),
                    state(
                            battery,
                            state,
                            book,
                            around(battery, ofMachines, taken.getOrDefault(battery.id(), InHand.Taken.NOT))));
        }
        return now;
    }

    private Map<Long, List<OpenDefect>> ofMachines(Collection<Battery> batteries) {
        return batteries.stream().anyMatch(battery -> battery.machineId() != null) ? defects.openByMachine() : Map.of();
    }

    private BatteryState state(Battery battery, StoredState stored, Rulebook book, Surroundings around) {
        Instant now = clock.instant();
        Instant upTo = stored.snapshot().upTo();
        return new BatteryState(
                BatteryFolds.sheet(battery, book),
                stored.snapshot(),
                around,
                upTo != null && upTo.isAfter(now) ? upTo : now);
    }

    private Surroundings around(Battery battery, Map<Long, List<OpenDefect>> ofMachines, InHand.Taken taken) {
        Long room = battery.roomId();
        return new Surroundings(
                measured.battery(battery.id()).orElse(null),
                room == null ? null : measured.room(room).orElse(null),
                battery.machineId() == null ? List.of() : ofMachines.getOrDefault(battery.machineId(), List.of()),
                taken.job(),
                taken.machine(),
                taken.complained(),
                taken.tapped(),
                room == null ? null : shifts.of(room).orElse(null));
    }

    public BatteryState stateOf(Battery battery) {
        return statesOf(List.of(battery)).values().iterator().next();
    }

    /** @return the state as it was at an earlier moment, by what is on record now */
    public BatteryState stateAt(Battery battery, Instant then) {
        return folds.upTo(battery, ruleChanges.now(), then).at(then, Surroundings.NOTHING);
    }

    /** @return every cell that the battery has had: those in it by position, then those that went out */
    public List<CellPast> cellPasts(Battery battery) {
        return folds.cellPasts(battery, ruleChanges.now());
    }

    /** @return what the battery needs next, most urgent first */
    public List<NextThing> nextThings(Battery battery) {
        return NextThings.of(battery.code(), stateOf(battery));
    }

    /** @return the state as it would be with one more round, taken now */
    public BatteryState with(Battery battery, Round round) {
        return foldedNow(battery).fold(new BatteryEvent.RoundTaken(round)).at(round.takenAt(), Surroundings.NOTHING);
    }

    /** A round not on record yet, laid before the judge with all that went before it. */
    public Case caseOf(Battery battery, Round round) {
        return foldedNow(battery).caseOf(round);
    }

    private BatteryFold foldedNow(Battery battery) {
        Rulebook book = ruleChanges.now();
        return folds.resumed(battery, book, stored(battery, book).snapshot());
    }

    public Rulebook rulebook() {
        return ruleChanges.now();
    }

    /** @return the rules for one battery, or the site's where there is none */
    public Rules rulesFor(@Nullable Battery battery) {
        Rulebook book = ruleChanges.now();
        return battery == null ? book.siteRules() : book.rulesFor(battery.type().id());
    }

    /** The moment at which things are worked out. */
    public Instant instant() {
        return clock.instant();
    }
}
