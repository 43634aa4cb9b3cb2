package org.ostendum.bench.accuracy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.water.WaterForecast;
import org.ostendum.sim.Life;
import org.ostendum.sim.SimulatedBattery;

/**
 * How well a charge's time to full and the next water date are foretold on simulated lives, beside the rules of the site:
 * eight hours, and every fortnight. {@code bench charge [batteries] [first seed]}.
 */
public final class ChargeAccuracy {
    private static final Duration EIGHT_HOURS = Duration.ofHours(8);
    private static final double FORTNIGHT = 14;
    /** Hours after the day's beginning at which a simulated charge starts. */
    private static final int CHARGE_STARTS = 9;

    private static final double STEP_HOURS = 1 / 6.0;
    private static final double CHARGER_RATE = 0.17;
    private static final int DAYS = 365;
    /** Before so many charges nothing can be learned of a battery. */
    private static final int LEAST_CHARGES = 6;

    private final List<Double> minutesOff = new ArrayList<>();
    private final List<Double> naiveMinutesOff = new ArrayList<>();
    private int covered;
    private final List<Double> daysOff = new ArrayList<>();
    private final List<Double> naiveDaysOff = new ArrayList<>();

    private ChargeAccuracy() {}

    /** @param firstSeed of {@code batteries} in a row; sites that log no ampere-hours are passed over */
    public static void run(int batteries, long firstSeed) {
        ChargeAccuracy accuracy = new ChargeAccuracy();
        LongStream.range(firstSeed, firstSeed + batteries)
                .parallel()
                .mapToObj(seed -> Population.member(seed, Condition.AS_THEY_COME))
                .filter(member -> member.site().logsAmpHours())
                .map(ChargeAccuracy::measured)
                .sequential()
                .forEachOrdered(accuracy::add);
        accuracy.print(batteries, firstSeed);
    }

    private static ChargeAccuracy measured(Population.Member member) {
        Life life = SimulatedBattery.live(
                member.model(), member.site(), member.faults(), Trial.START, DAYS, STEP_HOURS, member.seed());
        ChargeAccuracy one = new ChargeAccuracy();
        one.charges(life, member.model());
        one.waterings(life, member.model());
        return one;
    }

    private void charges(Life life, BatteryModel model) {
        List<TimeToFull.Past> past = new ArrayList<>();
        double taken = 0;
        Instant began = Instant.MIN;
        for (BatteryEvent event : life.events().all()) {
            if (event instanceof Worked worked && worked.taken() != null) {
                taken = worked.taken().ampHours();
                long day = Duration.between(Trial.START, event.at()).toDays();
                began = Trial.START.plus(Duration.ofDays(day)).plus(Duration.ofHours(CHARGE_STARTS));
            } else if (event instanceof ChargeEnded && taken > 0) {
                Duration lasted = Duration.between(began, event.at());
                foretell(model, past, taken, lasted);
                past.add(new TimeToFull.Past(taken, lasted));
                taken = 0;
            }
        }
    }

    private void foretell(BatteryModel model, List<TimeToFull.Past> past, double taken, Duration lasted) {
        if (past.size() < LEAST_CHARGES) {
            return;
        }
        Amperes charger = new Amperes(CHARGER_RATE * model.capacity().ampHours());
        TimeToFull.Estimate estimate = new TimeToFull(model.capacity(), charger, past).estimate(taken);
        minutesOff.add(minutes(estimate.likely().minus(lasted)));
        naiveMinutesOff.add(minutes(EIGHT_HOURS.minus(lasted)));
        if (lasted.compareTo(estimate.early()) >= 0 && lasted.compareTo(estimate.late()) <= 0) {
            covered++;
        }
    }

    private static double minutes(Duration duration) {
        return Math.abs(duration.toSeconds() / 60.0);
    }

    private void waterings(Life life, BatteryModel model) {
        double reserve = WaterForecast.reserve(model.cells(), model.capacity().ampHours());
        List<Watered> water = life.events().between(Watered.class, Instant.MIN, Instant.MAX);
        for (int i = 0; i < water.size(); i++) {
            Instant now = water.get(i).at();
            double truth = daysToUse(water, i, reserve);
            WaterForecast.of(life.events(), now, reserve)
                    .filter(f -> !Double.isNaN(truth))
                    .ifPresent(forecast -> {
                        daysOff.add(Math.abs(days(now, forecast.nextAt()) - truth));
                        naiveDaysOff.add(Math.abs(FORTNIGHT - truth));
                    });
        }
    }

    /** Days after a watering on which what it was filled with was used up, by what was poured later; NaN for never. */
    private static double daysToUse(List<Watered> water, int from, double reserve) {
        double used = 0;
        for (int i = from + 1; i < water.size(); i++) {
            double poured = water.get(i).millilitres();
            if (used + poured >= reserve) {
                double part = (reserve - used) / poured;
                double before = days(water.get(from).at(), water.get(i - 1).at());
                return before + part * days(water.get(i - 1).at(), water.get(i).at());
            }
            used += poured;
        }
        return Double.NaN;
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMinutes() / 1440.0;
    }

    private void add(ChargeAccuracy other) {
        minutesOff.addAll(other.minutesOff);
        naiveMinutesOff.addAll(other.naiveMinutesOff);
        covered += other.covered;
        daysOff.addAll(other.daysOff);
        naiveDaysOff.addAll(other.naiveDaysOff);
    }

    private void print(int batteries, long firstSeed) {
        System.out.printf("%d batteries, seeds %d to %d%n", batteries, firstSeed, firstSeed + batteries - 1);
        System.out.printf(
                "time to full: median error %.1f min, nine in ten within %.1f min, of %d charges; eight hours: %.1f min%n",
                at(minutesOff, 0.5), at(minutesOff, 0.9), minutesOff.size(), at(naiveMinutesOff, 0.5));
        System.out.printf("its interval (nine in ten) holds %.3f%n", covered / (double) minutesOff.size());
        System.out.printf(
                "next water: median error %.1f days, nine in ten within %.1f days, of %d waterings; every fortnight: %.1f days%n",
                at(daysOff, 0.5), at(daysOff, 0.9), daysOff.size(), at(naiveDaysOff, 0.5));
    }

    private static double at(List<Double> values, double part) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? Double.NaN : sorted.get((int) (part * (sorted.size() - 1)));
    }
}
