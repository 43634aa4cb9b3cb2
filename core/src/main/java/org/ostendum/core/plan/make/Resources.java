package org.ostendum.core.plan.make;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/** Batteries, chargers, people, power and air of a room as far as a plan has taken them. Times are seconds from its beginning. */
final class Resources {
    private static final int STEP = 300;
    private static final int TRIES = 4000;

    private final PlanProblem problem;
    private final long until;
    private final Map<String, Calendar> batteries = new LinkedHashMap<>();
    private final Map<String, Socket> chargers = new HashMap<>();
    private final Map<String, Calendar> people = new LinkedHashMap<>();
    private final Calendar bench = new Calendar();
    private final boolean anybodyQuiet;
    private final LoadCurve power;

    Resources(PlanProblem problem) {
        this.problem = problem;
        this.until = seconds(problem.until());
        this.anybodyQuiet =
                problem.people().stream().anyMatch(worker -> !worker.quiet().isEmpty());
        int minutes = (int) (until / 60) + 1;
        power = new LoadCurve(problem.room().kwMost(), minutes);
        problem.batteries().forEach(battery -> batteries.put(battery.code(), new Calendar()));
        problem.people().forEach(worker -> people.put(worker.code(), new Calendar()));
        LoadCurve gas = new LoadCurve(problem.room().litresPerHourMost(), minutes);
        Map<String, LoadCurve> airs = new HashMap<>();
        problem.room().airs().forEach((air, most) -> airs.put(air, new LoadCurve(most, minutes)));
        for (PlanCharger charger : problem.chargers()) {
            Calendar calendar = new Calendar();
            charger.away().forEach(away -> calendar.take(seconds(away.start()), seconds(away.end())));
            LoadCurve own = airs.get(charger.air());
            chargers.put(charger.code(), new Socket(charger, calendar, own == null ? List.of(gas) : List.of(gas, own)));
        }
    }

    /**
     * A charger, when it is taken, and the air it gasses into.
     *
     * @param gas the air of all, and its own where that has a limit
     */
    private record Socket(PlanCharger charger, Calendar calendar, List<LoadCurve> gas) {
        /** @return seconds at which the last minute ends whose air has no room for its gas; -1 where all have */
        long gassyUntil(long from, long until) {
            long last = -1;
            for (LoadCurve air : gas) {
                last = Math.max(last, air.fullUntil(from, until, charger.litresPerHour()));
            }
            return last;
        }

        void gas(long from, long until, int sign) {
            gas.forEach(air -> air.add(from, until, sign * charger.litresPerHour()));
        }
    }

    /** A charge that could be: its charger and its seconds. */
    record Place(Pairing pair, long start, long end) {
        static final Comparator<Place> FIRST =
                Comparator.comparingLong(Place::start).thenComparing(Place::end);
    }

    /** A person who could be at something, and when. */
    record Hand(String person, long start, long end) {}

    long seconds(Instant at) {
        return Duration.between(problem.from(), at).toSeconds();
    }

    Instant instant(long seconds) {
        return problem.from().plusSeconds(seconds);
    }

    long until() {
        return until;
    }

    Calendar battery(String code) {
        return Objects.requireNonNull(batteries.get(code));
    }

    /** @return the one on which batteries are emptied in tests */
    Calendar bench() {
        return bench;
    }

    Calendar charger(String code) {
        return socket(code).calendar();
    }

    private Socket socket(String code) {
        return Objects.requireNonNull(chargers.get(code));
    }

    void takePerson(@Nullable String code, long start, long end) {
        Calendar calendar = code == null ? null : people.get(code);
        if (calendar != null) {
            calendar.take(start, end);
        }
    }

    /** Takes a charger with its power; gas from when the charge finishes. */
    void takeCharger(String code, long start, long gasFrom, long end) {
        Socket socket = socket(code);
        socket.calendar().take(start, end);
        power.add(start, end, socket.charger().kw());
        socket.gas(gasFrom, end, 1);
    }

    void giveBack(String code, long start, long gasFrom, long end) {
        Socket socket = socket(code);
        socket.calendar().free(start);
        power.add(start, end, -socket.charger().kw());
        socket.gas(gasFrom, end, -1);
    }

    /** @return the first place on the charger from a moment on, whatever the battery does meanwhile */
    Optional<Place> onCharger(Pairing pair, double missing, long from) {
        return charge(new Calendar(), pair, missing, from, until - 1);
    }

    /** @return the first whole minute from which the charge may run through; empty for none before the plan ends */
    Optional<Place> charge(String battery, Pairing pair, double missing, long from) {
        return charge(battery(battery), pair, missing, from, until - 1);
    }

    /** @return where it may begin first, of those the one where it ends first; empty for none before the plan ends */
    Optional<Place> firstCharge(String battery, Collection<Pairing> pairs, double missing, long from) {
        Place best = null;
        for (Pairing pair : pairs) {
            long latest = best == null ? until - 1 : best.start();
            Place place = charge(battery(battery), pair, missing, from, latest).orElse(null);
            if (place != null && (best == null || Place.FIRST.compare(place, best) < 0)) {
                best = place;
            }
        }
        return Optional.ofNullable(best);
    }

    private Optional<Place> charge(Calendar battery, Pairing pair, double missing, long from, long latest) {
        Socket socket = socket(pair.charger());
        long lasts = pair.seconds(missing);
        long finish = Math.min(lasts, Math.round(60 * pair.finishMinutes()));
        long start = wholeMinute(Math.max(0, from));
        for (int tries = 0; start <= latest && tries < TRIES; tries++) {
            long end = start + lasts;
            Long taken = socket.calendar().inTheWay(start, end);
            Long busy = taken == null ? battery.inTheWay(start, end) : taken;
            if (busy != null) {
                start = wholeMinute(busy);
                continue;
            }
            long dark = power.fullUntil(start, end, socket.charger().kw());
            if (dark >= 0) {
                start = later(start, dark);
                continue;
            }
            long gassy = socket.gassyUntil(end - finish, end);
            if (gassy < 0) {
                return Optional.of(new Place(pair, start, end));
            }
            start = later(start, gassy == Long.MAX_VALUE ? gassy : gassy - (lasts - finish));
        }
        return Optional.empty();
    }

    private static long later(long start, long wanted) {
        return wanted == Long.MAX_VALUE ? wanted : Math.max(start + 60, wholeMinute(wanted));
    }

    private static long wholeMinute(long seconds) {
        return seconds % 60 == 0 ? seconds : seconds + 60 - seconds % 60;
    }

    /** @return whether the charger could go on so long after a charge */
    boolean goesOn(String code, long start, long end) {
        Socket socket = socket(code);
        return socket.calendar().isFree(start, end)
                && power.fullUntil(start, end, socket.charger().kw()) < 0
                && socket.gassyUntil(start, end) < 0;
    }

    /**
     * @return who could do it latest between two moments, in a quiet time only where there is no other: a battery that rests longest
     *     before it is moved has rested best
     */
    Optional<Hand> latest(Task task, long earliest, long latestEnd, long lasts, Calendar battery) {
        return latest(task, earliest, latestEnd, lasts, battery, false)
                .or(() -> anybodyQuiet ? latest(task, earliest, latestEnd, lasts, battery, true) : Optional.empty());
    }

    private Optional<Hand> latest(
            Task task, long earliest, long latestEnd, long lasts, Calendar battery, boolean quietToo) {
        for (long end = latestEnd; end - lasts >= earliest; end -= STEP) {
            long start = end - lasts;
            if (battery.isFree(start, end)) {
                Optional<Hand> hand = hand(task, start, end, quietToo);
                if (hand.isPresent()) {
                    return hand;
                }
            }
        }
        return Optional.empty();
    }

    /** @return who could do it first between two moments, in a quiet time only where there is no other */
    Optional<Hand> first(Task task, long earliest, long latestEnd, long lasts, Calendar battery) {
        return first(task, earliest, latestEnd, lasts, battery, false)
                .or(() -> anybodyQuiet ? first(task, earliest, latestEnd, lasts, battery, true) : Optional.empty());
    }

    private Optional<Hand> first(
            Task task, long earliest, long latestEnd, long lasts, Calendar battery, boolean quietToo) {
        long start = wholeMinute(Math.max(0, earliest));
        while (start + lasts <= latestEnd && start < until) {
            Long busy = battery.inTheWay(start, start + lasts);
            if (busy != null) {
                start = wholeMinute(busy);
                continue;
            }
            Optional<Hand> hand = hand(task, start, start + lasts, quietToo);
            if (hand.isPresent()) {
                return hand;
            }
            start += STEP;
        }
        return Optional.empty();
    }

    private Optional<Hand> hand(Task task, long start, long end, boolean quietToo) {
        if (start < 0) {
            return Optional.empty();
        }
        Span span = new Span(instant(start), instant(end));
        for (Worker worker : problem.people()) {
            if (worker.may().contains(task)
                    && worker.isThere(span)
                    && (quietToo || !worker.isQuiet(span))
                    && Objects.requireNonNull(people.get(worker.code())).isFree(start, end)) {
                return Optional.of(new Hand(worker.code(), start, end));
            }
        }
        return Optional.empty();
    }
}
