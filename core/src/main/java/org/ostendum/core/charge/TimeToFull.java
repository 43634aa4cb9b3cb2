package org.ostendum.core.charge;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.statistics.Robust;
import org.ostendum.core.statistics.SenLine;

/**
 * How long a charge takes, learned from this battery's own past charges on this charger: a line of time over ampere-hours
 * taken out, which single odd charges do not move. With too few of them the sum of the sheet, and wide ends.
 */
public final class TimeToFull {
    /** Charges learned from; the battery of a year ago is another. */
    private static final int MOST = 24;

    private static final int LEAST = 6;
    /** So many robust deviations hold nine in ten: the tails are longer than the bell’s (fitted on simulated charges). */
    private static final double NINE_IN_TEN = 2.0;

    private static final double LEAST_MINUTES = 4;
    private static final double SHEET_PART = 0.25;
    private static final double USUAL_RETURN = 1.12;
    /** Below it the Ah of past charges are too alike to tell how time goes with them. */
    private static final double LEAST_SPREAD = 0.05;

    private final AmpHours capacity;
    private final Amperes charger;
    private final List<Past> past;

    /**
     * A finished charge.
     *
     * @param taken Ah out before it
     */
    public record Past(double taken, Duration lasted) {}

    /** How long, with the ends between which nine in ten come true. */
    public record Estimate(Duration likely, Duration early, Duration late, boolean isLearned) {
        /** @return what is left after so long; never less than nothing */
        public Estimate after(Duration elapsed) {
            return new Estimate(left(likely, elapsed), left(early, elapsed), left(late, elapsed), isLearned);
        }

        private static Duration left(Duration whole, Duration elapsed) {
            Duration left = whole.minus(elapsed);
            return left.isNegative() ? Duration.ZERO : left;
        }
    }

    /** @param past oldest first */
    public TimeToFull(AmpHours capacity, Amperes charger, List<Past> past) {
        this.capacity = capacity;
        this.charger = charger;
        this.past = List.copyOf(past.subList(Math.max(0, past.size() - MOST), past.size()));
    }

    /** @param taken Ah out since the last full charge; null where nobody knows */
    public Estimate estimate(@Nullable Double taken) {
        if (past.size() < LEAST) {
            return ofSheet(taken == null ? capacity.ampHours() * 0.7 : taken);
        }
        double[] minutes =
                past.stream().mapToDouble(p -> p.lasted().toMinutes()).toArray();
        if (taken == null) {
            return around(Robust.median(minutes), Robust.deviation(minutes));
        }
        double[] line = line();
        double[] off = past.stream()
                .mapToDouble(p -> p.lasted().toSeconds() / 60.0 - line[0] - line[1] * p.taken())
                .toArray();
        return around(line[0] + line[1] * taken + Robust.median(off), Robust.deviation(off));
    }

    /** Intercept and slope, minutes and minutes an Ah. */
    private double[] line() {
        List<Past> byTaken = new ArrayList<>();
        past.stream().sorted((a, b) -> Double.compare(a.taken(), b.taken())).forEach(p -> {
            // No two alike: a line needs its points apart.
            if (byTaken.isEmpty() || p.taken() - byTaken.get(byTaken.size() - 1).taken() > 1e-6) {
                byTaken.add(p);
            }
        });
        double spread = byTaken.get(byTaken.size() - 1).taken() - byTaken.get(0).taken();
        if (byTaken.size() < LEAST || spread < LEAST_SPREAD * capacity.ampHours()) {
            double perAh = 60 * USUAL_RETURN / charger.amperes();
            return new double[] {0, perAh};
        }
        SenLine sen = SenLine.through(
                byTaken.stream().mapToDouble(Past::taken).toArray(),
                byTaken.stream().mapToDouble(p -> p.lasted().toSeconds() / 60.0).toArray());
        return new double[] {sen.at(0), sen.slope()};
    }

    private static Estimate around(double minutes, double deviation) {
        double wide = Math.max(LEAST_MINUTES, NINE_IN_TEN * deviation);
        return new Estimate(minutes(minutes), minutes(Math.max(0, minutes - wide)), minutes(minutes + wide), true);
    }

    private Estimate ofSheet(double taken) {
        double most = Math.min(capacity.ampHours() * 0.5, charger.amperes());
        double amperes = Math.max(capacity.ampHours() * 0.02, most);
        double missing = Math.max(0, Math.min(capacity.ampHours(), taken));
        double minutes = ChargeSums.time(capacity, AmpHours.of(missing), USUAL_RETURN, new Amperes(amperes))
                        .toSeconds()
                / 60.0;
        return new Estimate(
                minutes(minutes), minutes(minutes * (1 - SHEET_PART)), minutes(minutes * (1 + SHEET_PART)), false);
    }

    private static Duration minutes(double minutes) {
        return Duration.ofSeconds(Math.round(Math.max(0, minutes) * 60));
    }
}
