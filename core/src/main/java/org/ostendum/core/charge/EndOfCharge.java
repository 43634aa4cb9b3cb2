package org.ostendum.core.charge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.statistics.Robust;

/**
 * Is the battery full, and on which evidence? Practice {@code charge.end}. Three equal gravities tell it by themselves;
 * of a steady voltage, the ampere-hours returned and the charger's lamp two are needed. A lamp alone is no evidence.
 */
public final class EndOfCharge {
    /** mV a cell by which the voltage of two stretches may differ and still be called steady. */
    private static final double STEADY_MILLIVOLTS = 6;
    /** Part by which the current may have changed meanwhile. */
    private static final double STEADY_CURRENT = 0.12;

    private static final Duration STRETCH = Duration.ofMinutes(20);
    /** Hourly readings by hand still make a sum of ampere-hours; what lies further apart does not. */
    private static final Duration MOST_APART = Duration.ofMinutes(75);

    private static final Duration HOUR = Duration.ofHours(1);
    private static final Duration NEARLY_AN_HOUR = Duration.ofMinutes(50);
    /** Tenths of a point within which hydrometer readings are equal. */
    private static final int EQUAL_TENTHS = 20;

    private static final int READINGS = 3;
    private static final double PER_KELVIN = -4;

    /** What is looked for, the strongest first. */
    public static final List<FullSign> SIGNS =
            List.of(FullSign.EQUAL_GRAVITIES, FullSign.STEADY_VOLTAGE, FullSign.RETURNED, FullSign.LAMP);

    private EndOfCharge() {}

    /** One hydrometer reading of the pilot cell during the charge. */
    public record Pilot(Instant at, CorrectedGravity gravity) {}

    /**
     * What is known of a charge so far.
     *
     * @param cells that the current goes through: a bridged one is none
     * @param samples oldest first; impossible ones are passed over
     * @param pilots oldest first
     * @param taken Ah out since the last full charge; null where nobody knows
     * @param counted Ah in by the charger's own meter, which misses nothing; null where it has none
     * @param lamp whether the charger says that it is done
     */
    public record Known(
            BatteryModel model,
            int cells,
            Rules rules,
            List<ChargeSample> samples,
            List<Pilot> pilots,
            @Nullable Double taken,
            @Nullable Double counted,
            boolean lamp) {
        public Known {
            samples = samples.stream()
                    .filter(s -> s.isPossible(cells, model.capacity().ampHours()))
                    .toList();
            pilots = List.copyOf(pilots);
        }

        /** @return Ah in: counted by the charger, else summed up from the samples */
        public double returned() {
            return counted == null ? EndOfCharge.returned(samples) : counted;
        }
    }

    /**
     * @param full whether the signs are enough to call it full
     * @param signs what speaks for full by now, the strongest first
     * @param nextPilot when the pilot cell is to be read again; null while that would tell nothing
     */
    public record Verdict(boolean full, Set<FullSign> signs, @Nullable Instant nextPilot) {}

    /** @return whether what was read shows it to be full; whether it must be stopped is a matter of the battery's state */
    public static Verdict judge(Known known) {
        Set<FullSign> signs = EnumSet.noneOf(FullSign.class);
        if (gravitiesAreEqual(known)) {
            signs.add(FullSign.EQUAL_GRAVITIES);
        }
        if (voltageIsSteady(known)) {
            signs.add(FullSign.STEADY_VOLTAGE);
        }
        if (isReturned(known)) {
            signs.add(FullSign.RETURNED);
        }
        if (known.lamp()) {
            signs.add(FullSign.LAMP);
        }
        boolean full = signs.contains(FullSign.EQUAL_GRAVITIES) || signs.size() >= 2;
        return new Verdict(full, signs, full ? null : nextPilot(known));
    }

    /** The last three, each an hour or so after the one before, agree and are not those of an empty cell. */
    private static boolean gravitiesAreEqual(Known known) {
        List<Pilot> pilots = known.pilots();
        if (pilots.size() < READINGS) {
            return false;
        }
        List<Pilot> last = pilots.subList(pilots.size() - READINGS, pilots.size());
        for (int i = 1; i < READINGS; i++) {
            if (Duration.between(last.get(i - 1).at(), last.get(i).at()).compareTo(NEARLY_AN_HOUR) < 0) {
                return false;
            }
        }
        int highest = last.stream().mapToInt(p -> p.gravity().tenths()).max().orElse(0);
        int lowest = last.stream().mapToInt(p -> p.gravity().tenths()).min().orElse(0);
        return highest - lowest <= EQUAL_TENTHS
                && last.get(READINGS - 1)
                                .gravity()
                                .compareTo(known.model().marks().rechargeBelow())
                        >= 0;
    }

    /** At the finish the voltage has not risen for two hours while the current stayed. */
    private static boolean voltageIsSteady(Known known) {
        List<ChargeSample> samples = known.samples();
        if (samples.isEmpty()) {
            return false;
        }
        Instant now = samples.get(samples.size() - 1).at();
        Duration back = known.rules().duration(RuleKey.CHARGE_STEADY_HOURS);
        List<ChargeSample> window = between(samples, now.minus(back).minus(STRETCH), now);
        List<ChargeSample> before = between(window, now.minus(back).minus(STRETCH), now.minus(back));
        List<ChargeSample> lately = between(window, now.minus(STRETCH), now);
        if (before.isEmpty() || window.size() < READINGS || !agree(known, window, before, lately)) {
            return false;
        }
        double current = amperes(lately);
        return Math.abs(millivolts(known, lately) - millivolts(known, before)) <= STEADY_MILLIVOLTS
                && Math.abs(amperes(before) - current) <= STEADY_CURRENT * current
                && current > 0
                && current <= finishesFrom(known);
    }

    /** Read by hand once an hour, each reading has to fit; read by a device, the middle of each stretch does. */
    private static boolean agree(
            Known known, List<ChargeSample> window, List<ChargeSample> before, List<ChargeSample> lately) {
        if (before.size() >= READINGS && lately.size() >= READINGS) {
            return true;
        }
        double[] each = window.stream()
                .mapToDouble(sample -> millivolts(known, List.of(sample)))
                .sorted()
                .toArray();
        return each[each.length - 1] - each[0] <= 2 * STEADY_MILLIVOLTS;
    }

    private static List<ChargeSample> between(List<ChargeSample> samples, Instant from, Instant to) {
        return samples.stream()
                .filter(s -> !s.at().isBefore(from) && !s.at().isAfter(to))
                .toList();
    }

    private static double amperes(List<ChargeSample> samples) {
        return Robust.median(
                samples.stream().mapToDouble(s -> s.amperes().amperes()).toArray());
    }

    /** mV a cell, brought to 25 °C where the temperature is known. */
    private static double millivolts(Known known, List<ChargeSample> samples) {
        return Robust.median(samples.stream()
                .mapToDouble(s -> s.volts().volts() * 1000 / known.cells()
                        - (s.celsius() == null ? 0 : PER_KELVIN * (s.celsius().degrees() - 25)))
                .toArray());
    }

    private static double finishesFrom(Known known) {
        return ChargeSums.finishesFrom(known.model().capacity()).amperes();
    }

    private static boolean isReturned(Known known) {
        Double taken = known.taken();
        return taken != null
                && taken > 0
                && known.returned() >= taken * known.rules().percent(RuleKey.RETURN_LEAST) / 100.0;
    }

    /**
     * Ah put in. Where samples are far apart, nothing is taken to have flowed between them.
     *
     * @param samples oldest first
     */
    public static double returned(List<ChargeSample> samples) {
        double ampereSeconds = 0;
        for (int i = 1; i < samples.size(); i++) {
            ChargeSample before = samples.get(i - 1);
            ChargeSample after = samples.get(i);
            Duration apart = Duration.between(before.at(), after.at());
            if (!apart.isNegative() && apart.compareTo(MOST_APART) <= 0) {
                ampereSeconds += apart.toMillis()
                        / 1000.0
                        * (before.amperes().amperes() + after.amperes().amperes())
                        / 2;
            }
        }
        return ampereSeconds / 3600;
    }

    /** Once it finishes, an hour after the last reading; before that a reading tells nothing. */
    private static @Nullable Instant nextPilot(Known known) {
        List<ChargeSample> samples = known.samples();
        double finish = finishesFrom(known);
        List<Instant> finishing = new ArrayList<>();
        for (int i = samples.size() - 1; i >= 0 && samples.get(i).amperes().amperes() <= finish; i--) {
            finishing.add(samples.get(i).at());
        }
        if (finishing.isEmpty() || !known.model().kind().hasCaps()) {
            return null;
        }
        return known.pilots().isEmpty()
                ? finishing.get(finishing.size() - 1)
                : known.pilots().get(known.pilots().size() - 1).at().plus(HOUR);
    }
}
