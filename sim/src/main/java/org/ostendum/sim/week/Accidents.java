package org.ostendum.sim.week;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Worker;

/**
 * What does not go as planned. How often things go wrong is a rule of thumb.
 *
 * @param outings by machine and shift
 * @param broken by charger, when it gives nothing
 * @param missing by person, when nobody is there
 */
record Accidents(Map<String, Outing> outings, Map<String, List<Span>> broken, Map<String, List<Span>> missing) {
    static final double AH_SPREAD = 0.12;
    private static final double LATE = 0.15;
    private static final int LATE_MINUTES_MOST = 150;
    private static final double BREAKS_A_WEEK = 0.06;
    private static final double MISSING = 0.04;
    private static final Duration GAP_AFTER_LATE = Duration.ofMinutes(30);

    /**
     * One time out.
     *
     * @param ahPart taken out, of what was expected
     * @param lateMinutes by which it comes back after its shift
     */
    record Outing(double ahPart, int lateMinutes) {
        static final Outing AS_EXPECTED = new Outing(1, 0);
    }

    static final Accidents NONE = new Accidents(Map.of(), Map.of(), Map.of());

    Outing of(PlanMachine machine, Shift shift) {
        return outings.getOrDefault(machine.code() + " " + shift.id(), Outing.AS_EXPECTED);
    }

    boolean isBroken(String charger, Instant now) {
        return holds(broken.getOrDefault(charger, List.of()), now);
    }

    boolean isMissing(String person, Instant now) {
        return holds(missing.getOrDefault(person, List.of()), now);
    }

    private static boolean holds(List<Span> spans, Instant now) {
        return spans.stream().anyMatch(span -> !now.isBefore(span.start()) && now.isBefore(span.end()));
    }

    static Accidents in(PlanProblem room, int days, long seed) {
        SplittableRandom chance = new SplittableRandom(~seed);
        Map<String, Outing> outings = new HashMap<>();
        for (PlanMachine machine : room.machines()) {
            List<Shift> shifts = machine.shifts().stream()
                    .sorted(Comparator.comparing(Shift::start))
                    .toList();
            for (int i = 0; i < shifts.size(); i++) {
                double part = Math.exp(AH_SPREAD * chance.nextGaussian());
                int late = chance.nextDouble() < LATE ? 15 + chance.nextInt(LATE_MINUTES_MOST) : 0;
                Instant back =
                        shifts.get(i).end().plus(Duration.ofMinutes(late)).plus(GAP_AFTER_LATE);
                boolean fits = i + 1 == shifts.size()
                        || !back.isAfter(shifts.get(i + 1).start());
                outings.put(machine.code() + " " + shifts.get(i).id(), new Outing(part, fits ? late : 0));
            }
        }
        return new Accidents(outings, broken(room, days, chance), missing(room, chance));
    }

    private static Map<String, List<Span>> broken(PlanProblem room, int days, SplittableRandom chance) {
        Map<String, List<Span>> broken = new HashMap<>();
        for (PlanCharger charger : room.chargers()) {
            if (chance.nextDouble() < BREAKS_A_WEEK * days / 7) {
                Instant from = room.from().plus(Duration.ofMinutes(chance.nextInt(days * 1440)));
                broken.put(
                        charger.code(), List.of(new Span(from, from.plus(Duration.ofHours(8 + chance.nextInt(40))))));
            }
        }
        return broken;
    }

    private static Map<String, List<Span>> missing(PlanProblem room, SplittableRandom chance) {
        Map<String, List<Span>> missing = new HashMap<>();
        for (Worker worker : room.people()) {
            for (Span shift : worker.shifts()) {
                if (chance.nextDouble() < MISSING) {
                    missing.computeIfAbsent(worker.code(), any -> new ArrayList<>())
                            .add(shift);
                }
            }
        }
        return missing;
    }
}
