package org.ostendum.sim.complaint;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.Look.Outcome;
import org.ostendum.core.complaint.WorkUpTable;

/**
 * A complaint whose cause is known to nobody who works it up. The house it comes from is not the one of the table: how often causes come
 * and what looks show differ from it by a third or so, and now and then somebody looks wrongly.
 */
public final class HiddenCause {
    /** Standard deviation of a weight's logarithm, against the table. */
    private static final double OTHER_HOUSE = 0.35;

    private static final double LOOKS_WRONGLY = 0.03;

    private final Complaint complaint;
    private final Cause cause;
    private final Map<Look, Outcome> shown = new EnumMap<>(Look.class);

    private HiddenCause(SplittableRandom random) {
        List<Complaint> complaints = List.of(Complaint.values());
        complaint = complaints.get(random.nextInt(complaints.size()));
        Map<Cause, Double> house = new EnumMap<>(Cause.class);
        WorkUpTable.standard().priors(complaint).forEach((one, part) -> house.put(one, part * other(random)));
        cause = drawn(house, random);
        for (Look look : Look.values()) {
            Map<Outcome, Double> weights = new EnumMap<>(Outcome.class);
            boolean wrongly = random.nextDouble() < LOOKS_WRONGLY;
            for (Outcome outcome : look.outcomes()) {
                double chance = WorkUpTable.standard().chance(look, cause, outcome);
                weights.put(outcome, wrongly ? 1 : chance * other(random));
            }
            shown.put(look, drawn(weights, random));
        }
    }

    /** The same seed makes the same complaint. */
    public static HiddenCause of(long seed) {
        return new HiddenCause(new SplittableRandom(seed));
    }

    private static double other(SplittableRandom random) {
        return Math.exp(OTHER_HOUSE * random.nextGaussian());
    }

    private static <K> K drawn(Map<K, Double> weights, SplittableRandom random) {
        double left = random.nextDouble()
                * weights.values().stream().mapToDouble(Double::doubleValue).sum();
        K last = weights.keySet().iterator().next();
        for (Map.Entry<K, Double> entry : weights.entrySet()) {
            last = entry.getKey();
            left -= entry.getValue();
            if (left <= 0) {
                break;
            }
        }
        return last;
    }

    public Complaint complaint() {
        return complaint;
    }

    public Cause cause() {
        return cause;
    }

    /** @return what is seen; the same however often it is looked at */
    public Outcome shows(Look look) {
        return shown.getOrDefault(look, look.outcomes().get(0));
    }
}
