package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.PlanProblem.Pairing;
import org.ostendum.sim.room.RoomMaker;

/**
 * A week to be lived through, the same for everybody who leads it.
 *
 * @param room what is wanted and what there is, with two days more than are lived, so that the last evening is planned like any other
 */
public record Week(PlanProblem room, Accidents accidents, long seed) {
    static final int DAYS = 7;
    private static final int DAYS_BEYOND = 2;

    /** The same seed makes the same week. */
    public static Week make(int batteries, boolean tight, long seed) {
        PlanProblem room = RoomMaker.make(new RoomMaker.Size(batteries, DAYS + DAYS_BEYOND, tight), 1, seed);
        LearnedLengths lengths = new LearnedLengths();
        PlanLookup lookup = new PlanLookup(room);
        List<Pairing> learned = room.charging().stream()
                .map(pair -> lengths.of(pair, Objects.requireNonNull(lookup.battery(pair.battery()))))
                .toList();
        return new Week(room.withCharging(learned), Accidents.in(room, seed), seed);
    }

    /** Lives through it. */
    public WeekResult ledBy(Lead lead) {
        return new WeekRun(this, lead).run();
    }

    Instant end() {
        return room.from().plus(Duration.ofDays(DAYS));
    }
}
