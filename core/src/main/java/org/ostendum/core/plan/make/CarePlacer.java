package org.ostendum.core.plan.make;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.Plan.Unmet;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Due;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PoolBattery;
import org.ostendum.core.plan.room.Task;

/** Puts care where a battery stands: equalising behind a charge, water and readings while it is full, the rest between its jobs. */
final class CarePlacer {
    /** Where somebody is there but the bench or a charger is not free, it is tried again so many seconds later. */
    private static final long LATER = 900;

    private final Draft draft;
    private final Resources resources;

    CarePlacer(Draft draft) {
        this.draft = draft;
        this.resources = draft.resources;
    }

    /** @param by when it has its turn to be placed */
    private record Wanted(PoolBattery battery, Due due, Instant by) {
        /** Water thins what is read: a round that falls due before the battery is watered has its turn before that. */
        static Wanted of(PoolBattery battery, Due due) {
            Instant by = due.what() == Task.ROUND
                    ? battery.due().stream()
                            .filter(other -> other.what() == Task.WATER)
                            .map(Due::until)
                            .filter(water ->
                                    water.isBefore(due.until()) && !due.from().isAfter(water))
                            .min(Comparator.naturalOrder())
                            .orElse(due.until())
                    : due.until();
            return new Wanted(battery, due, by);
        }
    }

    /**
     * A stretch in which a battery stands with nothing to do.
     *
     * @param watered since its last charge: what floats on top would be read
     * @param readLater before its next charge
     */
    private record Idle(long start, long end, boolean full, boolean watered, boolean readLater) {
        boolean suits(Task what) {
            return switch (what) {
                case WATER -> full && !readLater;
                case ROUND -> full && !watered;
                default -> full || !what.wantsFull();
            };
        }
    }

    /** What is due first comes first; equalising before all, for readings and water come after it. */
    void place() {
        List<Wanted> wanted = new ArrayList<>();
        draft.problem.batteries().forEach(battery -> battery.due().forEach(due -> wanted.add(Wanted.of(battery, due))));
        wanted.sort(Comparator.comparing((Wanted w) -> w.due().what() != Task.EQUALISE)
                .thenComparing(Wanted::by)
                .thenComparing(w -> w.battery().code())
                .thenComparing(w -> w.due().what() == Task.WATER)
                .thenComparing(w -> w.due().what()));
        for (Wanted w : wanted) {
            Optional<PlanJob> pinned = pinned(w);
            if (pinned.isEmpty()) {
                place(w);
            } else if (w.due().isOnBench()) {
                goesOn(w, pinned.get());
            }
        }
    }

    private Optional<PlanJob> pinned(Wanted w) {
        return draft.problem.pinned().stream()
                .filter(job -> job.what() == w.due().what()
                        && job.battery().equals(w.battery().code()))
                .findFirst();
    }

    /** Whoever pins the beginning of a test means all of it. */
    private void goesOn(Wanted w, PlanJob begins) {
        long start = resources.seconds(begins.start());
        long end = start + 60L * w.due().takes();
        boolean follows = jobsOf(w.battery()).stream()
                .anyMatch(job -> job.isOnBench() && job.start().equals(begins.end()));
        if (begins.person() != null
                && !follows
                && resources.battery(w.battery().code()).isFree(resources.seconds(begins.end()), end)) {
            Resources.Hand hand = new Resources.Hand(begins.person(), start, resources.seconds(begins.end()));
            idle(w.battery()).stream()
                    .filter(idle -> idle.start() <= hand.end() && hand.end() < idle.end())
                    .findFirst()
                    .ifPresent(idle -> test(w, hand, end, idle));
        }
    }

    private void place(Wanted w) {
        boolean placed = w.due().isOnBench() ? onBench(w) : w.due().what() == Task.EQUALISE ? equalise(w) : byHand(w);
        if (!placed && w.due().until().isBefore(draft.problem.until())) {
            draft.unmet(new Unmet(
                    null, null, w.battery().code(), w.due().what(), w.due().until(), Message.of("plan.unmet.care")));
        }
    }

    private List<PlanJob> jobsOf(PoolBattery battery) {
        return draft.jobs().stream()
                .filter(job -> job.battery().equals(battery.code()))
                .sorted(Comparator.comparing(PlanJob::start))
                .toList();
    }

    private boolean byHand(Wanted w) {
        long lasts = 60L * w.due().minutes();
        long notBefore = resources.seconds(w.due().from());
        for (Idle idle : idle(w.battery())) {
            if (!idle.suits(w.due().what())) {
                continue;
            }
            Optional<Resources.Hand> hand = resources.first(
                    w.due().what(),
                    Math.max(idle.start(), notBefore),
                    idle.end(),
                    lasts,
                    resources.battery(w.battery().code()));
            if (hand.isPresent()) {
                draft.care(w.due().what(), w.battery().code(), hand.get(), by(w));
                return true;
            }
        }
        return false;
    }

    /** Between its jobs, the rest after a charge left out: it is busy with cooling. */
    private List<Idle> idle(PoolBattery battery) {
        List<Idle> idle = new ArrayList<>();
        long at = battery.coolUntil() == null ? 0 : Math.max(0, resources.seconds(battery.coolUntil()));
        boolean full = battery.missingAh() == 0;
        boolean watered = false;
        List<PlanJob> jobs = jobsOf(battery);
        for (int i = 0; i < jobs.size(); i++) {
            PlanJob job = jobs.get(i);
            long start = resources.seconds(job.start());
            if (start > at) {
                idle.add(new Idle(at, start, full, watered, isReadBeforeACharge(jobs.subList(i, jobs.size()))));
            }
            at = Math.max(at, resources.seconds(job.end()));
            boolean emptied = job.what() == Task.USE || job.isOnBench();
            full = !emptied && (full || job.what() == Task.CHARGE);
            watered = job.what() != Task.CHARGE && (watered || job.what() == Task.WATER);
        }
        idle.add(new Idle(at, Math.max(at, resources.until()), full, watered, false));
        return idle;
    }

    private static boolean isReadBeforeACharge(List<PlanJob> ahead) {
        return ahead.stream()
                .filter(job -> job.what() == Task.ROUND || job.what() == Task.CHARGE)
                .findFirst()
                .filter(job -> job.what() == Task.ROUND)
                .isPresent();
    }

    /** Full at its beginning, charged again at once after it, and cool before it works. */
    private boolean onBench(Wanted w) {
        String battery = w.battery().code();
        long byHand = 60L * w.due().minutes();
        long lasts = 60L * w.due().takes();
        for (Idle idle : idle(w.battery())) {
            long from = Math.max(idle.start(), resources.seconds(w.due().from()));
            while (idle.full() && from + lasts <= idle.end()) {
                Long taken = resources.bench().inTheWay(from, from + lasts);
                if (taken != null) {
                    from = taken;
                    continue;
                }
                Optional<Resources.Hand> hand =
                        resources.first(Task.TEST, from, idle.end(), byHand, resources.battery(battery));
                if (hand.isEmpty()) {
                    break;
                }
                long end = hand.get().start() + lasts;
                boolean free =
                        end <= idle.end() && resources.bench().isFree(hand.get().start(), end);
                if (free && test(w, hand.get(), end, idle)) {
                    draft.care(Task.TEST, battery, hand.get(), by(w));
                    return true;
                }
                from = hand.get().start() + LATER;
            }
        }
        return false;
    }

    private static Message by(Wanted w) {
        return Message.of("plan.why.care", w.due().until());
    }

    /** @return whether there is a charger for it afterwards: emptied it sulfates within hours */
    private boolean test(Wanted w, Resources.Hand hand, long end, Idle idle) {
        String battery = w.battery().code();
        Optional<Resources.Place> charge = draft.lookup.chargersFor(battery).values().stream()
                .flatMap(pair -> resources.charge(battery, pair, w.battery().capacityAh(), end).stream())
                .filter(place ->
                        place.end() + draft.coolSeconds(battery) <= idle.end() || idle.end() >= resources.until())
                .min(Comparator.comparingLong(Resources.Place::start));
        charge.ifPresent(place -> {
            draft.onBench(battery, hand, end, by(w));
            draft.charge(battery, place, Message.of("plan.why.charge.tested"));
            draft.cool(battery, place.end());
        });
        return charge.isPresent();
    }

    /** Behind a charge that is there, else behind one of its own. */
    private boolean equalise(Wanted w) {
        for (PlanJob charge : jobsOf(w.battery())) {
            if (charge.what() == Task.CHARGE
                    && charge.charger() != null
                    && !charge.end().isBefore(w.due().from())
                    && !charge.end().isBefore(draft.problem.from())
                    && charge.end().isBefore(draft.problem.until())
                    && behind(w, charge, charge.charger())) {
                return true;
            }
        }
        return ofItsOwn(w);
    }

    private boolean behind(Wanted w, PlanJob charge, String charger) {
        String battery = w.battery().code();
        long start = resources.seconds(charge.end());
        long end = start + 60L * w.due().takes();
        long coolEnd = end + draft.coolSeconds(battery);
        long rested = start + draft.coolSeconds(battery);
        boolean room = resources.battery(battery).nextBusy(rested) >= coolEnd;
        if (!room || isPinnedRest(battery, charge.end()) || !resources.goesOn(charger, start, end)) {
            return false;
        }
        draft.takeBackRest(battery, start);
        draft.equalise(battery, charger, start, end, by(w));
        draft.cool(battery, end);
        return true;
    }

    private boolean isPinnedRest(String battery, Instant start) {
        return draft.problem.pinned().stream()
                .anyMatch(job -> job.battery().equals(battery) && job.start().equals(start));
    }

    private boolean ofItsOwn(Wanted w) {
        String battery = w.battery().code();
        for (Idle idle : idle(w.battery())) {
            long from = Math.max(idle.start(), resources.seconds(w.due().from()));
            for (Pairing pair : draft.lookup.chargersFor(battery).values()) {
                Optional<Resources.Place> place =
                        idle.full() ? resources.charge(battery, pair, 0, from) : Optional.empty();
                if (place.isEmpty()) {
                    continue;
                }
                long end = place.get().end() + 60L * w.due().takes();
                boolean room = end + draft.coolSeconds(battery) <= idle.end() || idle.end() >= resources.until();
                if (room && resources.goesOn(pair.charger(), place.get().end(), end)) {
                    draft.charge(battery, place.get(), Message.of("plan.why.charge.to-equalise"));
                    draft.equalise(battery, pair.charger(), place.get().end(), end, by(w));
                    draft.cool(battery, end);
                    return true;
                }
            }
        }
        return false;
    }
}
