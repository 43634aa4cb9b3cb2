package org.ostendum.sim;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.HottestOfCharge;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.voltage.VoltageRound;

/**
 * A battery that is worked, charged, equalised, read and watered day by day on its site, with faults planted. The same
 * seed gives the same life.
 */
public final class SimulatedBattery {
    private static final double WORK_HOURS = 6;
    /** A test load empties the battery in so many hours. */
    private static final double LOAD_HOURS = 5;

    /** A year brings so much more gas for each Ah (antimony). */
    private static final double GASSING_A_YEAR = 0.04;
    /** A year takes so much of the plates by ordinary use. */
    private static final double PLATES_A_YEAR = 0.03;

    private final Site site;
    private final List<Fault> faults;
    private final Planted planted;
    private final Random random;
    private final CellBank bank;
    private final Chemistry chemistry;
    private final Stepper stepper;
    private final Reader reader;
    private final Instant start;
    private final List<BatteryEvent> events = new ArrayList<>();
    private final List<Round> rounds = new ArrayList<>();
    private final List<Life.Truth> truths = new ArrayList<>();
    private final List<VoltageRound> voltages = new ArrayList<>();
    private final Voltmeter voltmeter;
    private final double seasonStart;
    private int sinceRound;
    private int sinceWater;
    private int sinceEqualise;
    private boolean unmixed;
    private double hottest;

    private SimulatedBattery(
            BatteryModel model, Site site, List<Fault> faults, Instant start, double stepHours, long seed) {
        this.site = site;
        this.faults = List.copyOf(faults);
        this.planted = new Planted(faults);
        this.random = new Random(seed);
        this.bank = new CellBank(model, random);
        this.chemistry = new Chemistry(model.cells());
        this.stepper = new Stepper(chemistry, stepHours, (b, hours, amps) -> hottest = Math.max(hottest, b.celsius));
        this.reader = new Reader(site, random);
        // Of its own chance, so that a meter more or less does not change the rest of a life.
        this.voltmeter = new Voltmeter(model.layout(), new Random(~seed));
        this.start = start;
        this.seasonStart = random.nextDouble();
        this.sinceRound = random.nextInt(site.roundEvery());
        this.sinceWater = random.nextInt(site.waterEvery());
        this.sinceEqualise = site.equaliseEvery() == 0 ? 0 : random.nextInt(site.equaliseEvery());
        bank.gassing = 1 + 0.1 * random.nextDouble();
    }

    /**
     * @param start 06:00 of the first day
     * @param stepHours length of a step, above 0; a sixtieth for one minute
     * @return its life over {@code days}
     */
    public static Life live(
            BatteryModel model, Site site, List<Fault> faults, Instant start, int days, double stepHours, long seed) {
        SimulatedBattery battery = new SimulatedBattery(model, site, faults, start, stepHours, seed);
        for (int day = 0; day < days; day++) {
            battery.day(day);
        }
        return new Life(new EventLog(battery.events), battery.rounds, battery.truths, battery.voltages);
    }

    private void day(int day) {
        double season = Math.sin(2 * Math.PI * (seasonStart + day / 365.0));
        chemistry.ambient = site.celsius() + 6 * season + random.nextGaussian() * 1.5;
        hottest = bank.celsius;
        planted.morning(bank, chemistry, day);
        planted.replaced(day).forEach(cell -> events.add(new CellReplaced(at(day, 0), cell, null)));
        age();
        if (day % 7 < site.workDays()) {
            work(day, season);
        } else {
            rest(24);
        }
        sinceRound++;
        sinceWater++;
        sinceEqualise++;
    }

    private void age() {
        bank.gassing += GASSING_A_YEAR / 365;
        for (int i = 0; i < bank.cells; i++) {
            bank.plates[i] -= PLATES_A_YEAR / 365;
        }
    }

    private void rest(double hours) {
        stepper.run(bank, b -> 0, hours, Stepper.NEVER);
    }

    private void work(int day, double season) {
        double depth = site.depth() * (1 + 0.08 * season + 0.12 * random.nextGaussian());
        double amps = bank.capacity * Math.max(0.1, Math.min(0.85, depth)) / WORK_HOURS;
        Stepper.Run shift = stepper.run(bank, b -> -amps, WORK_HOURS, (b, out) -> -b.leftInWeakest());
        double taken = -shift.ampHours();
        rest(9 - shift.hours());
        Charger charger = planted.charger(day);
        Stepper.Run charge = charger.charge(stepper, bank, taken);
        double hours = charge.hours();
        if (site.logsAmpHours()) {
            events.add(new Worked(at(day, WORK_HOURS), AmpHours.of(taken * logError())));
        }
        events.add(ChargeEnded.unstated(
                at(day, 9 + hours), site.logsAmpHours() ? AmpHours.of(charge.ampHours() * logError()) : null));
        unmixed = false;
        boolean equalised = site.equaliseEvery() > 0 && sinceEqualise >= site.equaliseEvery();
        if (equalised) {
            hours += charger.equalise(stepper, bank, 3).hours();
            events.add(new Equalised(at(day, 9 + hours), Duration.ofHours(3)));
            sinceEqualise = 0;
        }
        double finish = charger.finish() * bank.capacity;
        double @Nullable [] volts = site.readsVolts() ? volts(finish) : null;
        if (site.logsAmpHours() && random.nextInt(7) == 0) {
            events.add(new HottestOfCharge(at(day, 9 + hours), Celsius.of(Math.rint(hottest))));
        }
        double left = Math.max(1.5, 24 - 9 - hours);
        rest(1);
        careFor(day, 10 + hours, equalised, volts);
        rest(left - 1);
    }

    private double logError() {
        return 1 + 0.01 * random.nextGaussian();
    }

    private double[] volts(double amps) {
        return IntStream.range(0, bank.cells)
                .mapToDouble(i -> Chemistry.voltsOnCharge(bank, i, amps))
                .toArray();
    }

    private void careFor(int day, double hour, boolean equalised, double @Nullable [] volts) {
        boolean waterDue = sinceWater >= site.waterEvery() + random.nextInt(4) - 1;
        boolean worthIt = equalised && 2 * sinceRound >= site.roundEvery() && random.nextInt(10) < 7;
        boolean roundDue = worthIt || sinceRound >= site.roundEvery() + random.nextInt(9) - 4;
        boolean waterFirst = waterDue && random.nextInt(25) == 0;
        if (waterFirst) {
            water(day, hour);
        }
        if (roundDue) {
            read(day, hour + 0.2, equalised ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE, volts);
        }
        if (waterDue && !waterFirst) {
            water(day, hour + 0.5);
        }
    }

    private void read(int day, double hour, RoundState state, double @Nullable [] volts) {
        List<Integer> shedding = faults.stream()
                .filter(f -> f instanceof Fault.SheddingCell && day >= f.fromDay() + 60)
                .map(f -> ((Fault.SheddingCell) f).cell())
                .toList();
        Reader.Read read = reader.read(bank, at(day, hour), state, volts, shedding);
        rounds.add(read.round());
        truths.add(new Life.Truth(
                day,
                IntStream.range(0, bank.cells).mapToObj(bank::mixedGravity).toList(),
                mean(bank.layer) / 2,
                mean(bank.hard),
                IntStream.range(0, bank.cells)
                        .mapToDouble(i -> bank.plates[i])
                        .min()
                        .orElse(1),
                read.mistaken(),
                read.again(),
                unmixed));
        if (site.readsVolts()) {
            voltages.add(voltmeter.atRest(bank, at(day, hour)));
            voltages.add(voltmeter.underLoad(bank, at(day, hour + 0.1), bank.capacity / LOAD_HOURS));
        }
        sinceRound = 0;
    }

    private static double mean(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum / values.length;
    }

    /** Fills every cell to its mark, more or less. */
    private void water(int day, double hour) {
        double millilitres = 0;
        for (int i = 0; i < bank.cells; i++) {
            double wanted = (1 - bank.reserveLeft(i)) * CellBank.RESERVE + 0.03 * random.nextGaussian();
            double grams = Math.max(0, wanted);
            bank.pour(i, grams);
            millilitres += grams * bank.capacity;
        }
        double poured = Math.rint(millilitres * (1 + 0.03 * random.nextGaussian()) / 10) * 10;
        events.add(new Watered(at(day, hour), Millilitres.of(Math.max(0, poured)), null, Fill.UNSTATED));
        sinceWater = 0;
        unmixed = true;
    }

    private Instant at(int day, double hour) {
        return start.plus(Duration.ofDays(day)).plus(Duration.ofMinutes(Math.round(hour * 60)));
    }
}
