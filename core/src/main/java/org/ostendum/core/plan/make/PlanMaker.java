package org.ostendum.core.plan.make;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.check.Breach;
import org.ostendum.core.plan.check.PlanChecker;
import org.ostendum.core.plan.cost.PlanCosts;
import org.ostendum.core.plan.cost.Uncharged;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;

/**
 * Makes a plan from what is decided, going through the time that is planned: what works, what comes back, what goes on charge. It never
 * breaks a hard rule; where a decision would, the rule of thumb chooses instead, and what cannot be is told as unmet.
 */
public final class PlanMaker {
    private final Draft draft;
    private final Decisions decisions;
    private final PlanProblem problem;
    private final Resources resources;
    private final Uses uses;
    private final PriorityQueue<Event> events = new PriorityQueue<>(Event.ORDER);
    private final Map<String, PlanJob> pinnedUses = new HashMap<>();
    private final Set<String> followed = new HashSet<>();

    private PlanMaker(PlanProblem problem, Decisions decisions) {
        this.problem = problem;
        this.decisions = decisions;
        this.draft = new Draft(problem);
        this.resources = draft.resources;
        this.uses = new Uses(draft, decisions);
    }

    /** Something that comes up at a moment: a shift begins, or a battery is to be charged. */
    private record Event(
            long at, @Nullable PlanMachine machine, @Nullable Shift shift, String battery, String key, double missing) {
        static final Comparator<Event> ORDER = Comparator.comparingLong(Event::at)
                .thenComparing(event -> event.machine() != null)
                .thenComparing(Event::key);
    }

    /**
     * @return a plan that has passed the checker, with what it costs
     * @throws IllegalStateException where pinned jobs contradict the hard rules; it names them
     */
    public static Plan make(PlanProblem problem, Decisions decisions) {
        Plan plan = new PlanMaker(problem, decisions).made();
        List<Breach> breaches = PlanChecker.check(problem, plan);
        if (!breaches.isEmpty()) {
            throw new BrokenPlan(breaches);
        }
        return plan.with(PlanCosts.of(problem, plan), 0, true);
    }

    /** What a technician does who looks no further than the next thing. */
    public static Plan byRuleOfThumb(PlanProblem problem) {
        return make(problem, Decisions.NONE);
    }

    private Plan made() {
        problem.pinned().forEach(this::pin);
        for (PlanMachine machine : problem.machines()) {
            for (Shift shift : machine.shifts()) {
                boolean pinned = pinnedUses.containsKey(Decisions.shift(machine, shift));
                boolean within =
                        !shift.start().isBefore(problem.from()) && shift.start().isBefore(problem.until());
                if (within || pinned) {
                    events.add(new Event(
                            resources.seconds(shift.start()), machine, shift, "", Decisions.shift(machine, shift), 0));
                }
            }
        }
        problem.batteries().forEach(this::begin);
        while (!events.isEmpty()) {
            Event event = events.remove();
            if (event.machine() == null) {
                charge(event);
            } else {
                together(event)
                        .forEach(one ->
                                work(one, Objects.requireNonNull(one.machine()), Objects.requireNonNull(one.shift())));
            }
        }
        restOfPinned();
        new CarePlacer(draft).place();
        return draft.plan();
    }

    /** Shifts that begin at once: whose change can begin last has the fewest moments for it, and chooses first. */
    private List<Event> together(Event first) {
        List<Event> all = new ArrayList<>(List.of(first));
        while (!events.isEmpty() && events.element().at() == first.at()) {
            all.add(events.remove());
        }
        all.sort(Comparator.comparingLong((Event event) ->
                -uses.changedFrom(Objects.requireNonNull(event.machine()), Objects.requireNonNull(event.shift()))));
        return all;
    }

    private void pin(PlanJob job) {
        draft.pin(job);
        if (job.what() == Task.USE) {
            pinnedUses.put(
                    Decisions.shift(Objects.requireNonNull(job.machine()), Objects.requireNonNull(job.shift())), job);
        }
    }

    private void begin(PoolBattery battery) {
        uses.begin(battery);
        boolean charges = pinnedOf(battery.code(), job -> job.what() == Task.CHARGE)
                .findAny()
                .isPresent();
        if (battery.missingAh() > 0 && (!battery.held() || charges)) {
            String key = Decisions.first(battery.code());
            long from = Math.min(0, firstPinned(battery.code()));
            events.add(chargeEvent(battery.code(), key, battery.missingAh(), from));
        }
    }

    private long firstPinned(String battery) {
        return pinnedOf(battery, job -> true)
                .mapToLong(job -> resources.seconds(job.start()))
                .min()
                .orElse(0);
    }

    private Stream<PlanJob> pinnedOf(String battery, Predicate<PlanJob> which) {
        return problem.pinned().stream().filter(job -> job.battery().equals(battery) && which.test(job));
    }

    /** One that is on its charger already waits no longer, whatever was decided before somebody plugged it in. */
    private Event chargeEvent(String battery, String key, double missing, long from) {
        if (pinnedCharge(battery).isPresent()) {
            return new Event(from, null, null, battery, key, missing);
        }
        long wanted = decisions
                .charge(key)
                .map(choice -> resources.seconds(choice.notBefore()))
                .orElse(from);
        long last = from + Uncharged.WAITS_AT_MOST.toSeconds();
        return new Event(Math.max(from, Math.min(last, wanted)), null, null, battery, key, missing);
    }

    private void work(Event event, PlanMachine machine, Shift shift) {
        PlanJob pinned = pinnedUses.get(event.key());
        Optional<String> battery =
                pinned == null ? uses.work(machine, shift) : Optional.of(uses.pinned(machine, shift, pinned));
        battery.ifPresent(
                code -> events.add(chargeEvent(code, event.key(), uses.missing(code), resources.seconds(shift.end()))));
    }

    private void charge(Event event) {
        String battery = event.battery();
        Optional<PlanJob> pinned = pinnedCharge(battery);
        if (pinned.isPresent()) {
            followed.add(pinned.get().id());
            charged(battery, resources.seconds(pinned.get().end()));
            return;
        }
        place(event).ifPresent(place -> {
            draft.charge(battery, place, why(event, place));
            charged(battery, place.end());
        });
    }

    /** A pinned charge of a battery that is full already, before it equalises: it rests like any other. */
    private void restOfPinned() {
        problem.pinned().stream()
                .filter(job -> job.what() == Task.CHARGE && !followed.contains(job.id()))
                .forEach(job -> draft.cool(job.battery(), resources.seconds(job.end())));
    }

    private void charged(String battery, long end) {
        uses.ready(battery, draft.cool(battery, end));
    }

    /** @return the next one since it was used last: what runs already, or what people have said */
    private Optional<PlanJob> pinnedCharge(String battery) {
        return pinnedOf(battery, job -> job.what() == Task.CHARGE)
                .filter(job -> resources.seconds(job.end()) > uses.usedUntil(battery))
                .min(Comparator.comparing(PlanJob::start));
    }

    /** Where it was decided, unless that has become much later than elsewhere; otherwise where it is first full. */
    private Optional<Resources.Place> place(Event event) {
        @Nullable
        String wanted =
                decisions.charge(event.key()).map(Decisions.Charge::charger).orElse(null);
        var pairs = draft.lookup.chargersFor(event.battery());
        if (wanted != null && pairs.containsKey(wanted)) {
            Optional<Resources.Place> there = resources.charge(
                    event.battery(), Objects.requireNonNull(pairs.get(wanted)), event.missing(), event.at());
            if (there.isPresent() && there.get().start() - event.at() <= 900) {
                return there;
            }
        }
        return resources.firstCharge(event.battery(), pairs.values(), event.missing(), event.at());
    }

    private @Nullable Message why(Event event, Resources.Place place) {
        Instant free = resources.instant(Math.max(0, uses.usedUntil(event.battery())));
        Instant start = resources.instant(place.start());
        return start.isAfter(free.plusSeconds(900))
                ? Message.of("plan.why.charge.waits", free, start)
                : Message.of("plan.why.charge.at-once", start);
    }
}
