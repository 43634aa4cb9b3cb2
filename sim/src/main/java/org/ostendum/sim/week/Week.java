package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.Term;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.sim.room.RoomMaker;

/**
 * A week or more to be lived through, the same for everybody who leads it.
 *
 * @param room what is wanted and what there is, with two days more than are lived, so that the last evening is planned like any other
 */
public record Week(PlanProblem room, Accidents accidents, int days, long seed) {
    /** Of a kW of the week's peak, a quarter of a month's (rule of thumb). */
    public static final double PEAK_PRICE = 2.5;

    private static final int DAYS = 7;
    private static final int DAYS_BEYOND = 2;

    /** The same seed makes the same week. */
    public static Week make(int batteries, boolean tight, long seed) {
        return several(1, batteries, tight, seed);
    }

    /** Weeks that follow one another in one room. */
    public static Week several(int weeks, int batteries, boolean tight, long seed) {
        int days = weeks * DAYS;
        PlanProblem room = RoomMaker.make(new RoomMaker.Size(batteries, days + DAYS_BEYOND, tight, true), 1, seed);
        LearnedLengths lengths = new LearnedLengths();
        PlanLookup lookup = new PlanLookup(room);
        List<Pairing> learned = room.charging().stream()
                .map(pair -> lengths.of(pair, Objects.requireNonNull(lookup.battery(pair.battery()))))
                .toList();
        return new Week(
                room.with(site -> site.withCharging(learned)).withWeights(Map.of(Term.PEAK, PEAK_PRICE)),
                Accidents.in(room, days, seed),
                days,
                seed);
    }

    /** Lives through it. */
    public WeekResult ledBy(Lead lead) {
        return new WeekRun(this, lead).run();
    }

    Instant end() {
        return room.from().plus(Duration.ofDays(days));
    }
}
