package org.ostendum.demo.records;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.water.WaterUse;

/**
 * A battery that is worked, charged, watered, equalised and read, day by day, with stories planted in it. A picture of
 * records, not of chemistry: gravities on a full charge drift, fail and scatter as records of real rooms do. The same seed
 * gives the same life.
 */
public final class RecordedBattery {
    /** Ah put in for each Ah taken out. */
    public static final double CHARGE_RETURN = 1.12;

    /** Amperes of the right charger for each Ah. */
    public static final double CHARGER_RATE = 0.16;

    private static final Duration CHARGE_STARTS = Duration.ofMinutes(500);

    private static final double HYDROMETER_POINTS = 1.6;

    private final BatteryModel model;
    private final Habits habits;
    private final List<Story> stories;
    private final Random random;
    private final List<RecordedCell> cells = new ArrayList<>();
    private final List<Happening> happenings = new ArrayList<>();
    private final List<Round> rounds = new ArrayList<>();
    /** Ah turned into gas since the last watering. */
    private double overcharge;

    private int daysSinceRound;
    private int daysSinceWater;
    private int daysSinceEqualise;

    private RecordedBattery(BatteryModel model, Habits habits, List<Story> stories, long seed) {
        this.model = model;
        this.habits = habits;
        this.stories = List.copyOf(stories);
        this.random = new Random(seed);
        for (int cell = 0; cell < model.cells(); cell++) {
            cells.add(new RecordedCell(random));
        }
        this.daysSinceRound = random.nextInt(habits.roundEveryDays());
        this.daysSinceWater = random.nextInt(habits.waterEveryDays());
        this.daysSinceEqualise = random.nextInt(habits.equaliseEveryDays());
    }

    /**
     * @param firstMorning 06:00 of the first day
     * @param days number of days; the last round is taken on the last of them unless the battery was forgotten
     */
    public static Life live(
            BatteryModel model, Habits habits, List<Story> stories, Instant firstMorning, int days, long seed) {
        RecordedBattery battery = new RecordedBattery(model, habits, stories, seed);
        for (int day = 0; day < days; day++) {
            battery.day(day, days, firstMorning.plus(Duration.ofDays(day)));
        }
        return new Life(battery.happenings, battery.rounds);
    }

    private void day(int day, int days, Instant morning) {
        age(day);
        boolean last = day == days - 1;
        boolean works = day % 7 < habits.workDaysPerWeek();
        if (!works && !last) {
            return;
        }
        double ampHours = model.capacity().ampHours() * habits.depth() * (0.85 + 0.3 * random.nextDouble());
        happen(morning.plus(Duration.ofHours(6)), Happening.Kind.DISCHARGE, ampHours);
        Instant chargeStart = morning.plus(CHARGE_STARTS);
        Instant chargeEnd = chargeStart.plus(charging(ampHours)).plus(Duration.ofMinutes(random.nextInt(14)));
        overcharge += ampHours * (CHARGE_RETURN - 1);
        happen(chargeStart, Happening.Kind.CHARGE_START, 0);
        happen(chargeEnd, Happening.Kind.CHARGE_END, ampHours * CHARGE_RETURN);
        Instant ready = equaliseIfDue(chargeEnd, day, last);
        readIfDue(ready.plus(Duration.ofMinutes(45 + random.nextInt(60))), day, days);
        waterIfDue(ready.plus(Duration.ofMinutes(150)), last);
    }

    private Duration charging(double ampHours) {
        AmpHours size = model.capacity();
        return ChargeSums.time(size, AmpHours.of(ampHours), CHARGE_RETURN, new Amperes(CHARGER_RATE * size.ampHours()));
    }

    private void age(int day) {
        daysSinceRound++;
        daysSinceWater++;
        daysSinceEqualise++;
        for (int cell = 1; cell <= cells.size(); cell++) {
            cells.get(cell - 1).ageDay(failingPerDay(cell, day));
        }
    }

    private double failingPerDay(int cell, int day) {
        return told(Story.FailingCell.class)
                .filter(s -> s.cell() == cell && day >= s.fromDay())
                .mapToDouble(s -> s.pointsPerMonth() / 30)
                .sum();
    }

    private Instant equaliseIfDue(Instant chargeEnd, int day, boolean last) {
        boolean never = told(Story.NotEqualised.class).anyMatch(s -> day >= s.fromDay());
        boolean atTheEnd = last && told(Story.EqualisedAtTheEnd.class).findAny().isPresent();
        boolean due = daysSinceEqualise >= habits.equaliseEveryDays() && !last && !never;
        if (!due && !atTheEnd) {
            return chargeEnd;
        }
        Instant end = chargeEnd.plus(Duration.ofHours(3));
        happen(end, Happening.Kind.EQUALISE_END, 3);
        overcharge += 3 * ChargeSums.finish(model.capacity()).amperes();
        cells.forEach(RecordedCell::equalise);
        daysSinceEqualise = 0;
        return end;
    }

    private void waterIfDue(Instant at, boolean last) {
        if (daysSinceWater >= habits.waterEveryDays() && !last) {
            double litres = WaterUse.of(model.cells(), AmpHours.of(overcharge)).litres();
            happen(at, Happening.Kind.WATER, Math.rint(100 * litres) * 10);
            overcharge = 0;
            daysSinceWater = 0;
        }
    }

    private void readIfDue(Instant at, int day, int days) {
        boolean last = day == days - 1;
        int forgotten =
                told(Story.Forgotten.class).mapToInt(Story.Forgotten::days).sum();
        boolean due = daysSinceRound >= habits.roundEveryDays() && days - day > forgotten;
        if (due || (last && forgotten == 0)) {
            read(at, day, last);
            daysSinceRound = 0;
        }
    }

    private void read(Instant at, int day, boolean last) {
        boolean afterWater = last && told(Story.ReadAfterWater.class).findAny().isPresent();
        if (afterWater) {
            happen(at.minus(Duration.ofMinutes(20)), Happening.Kind.WATER, model.cells() * 40.0);
        }
        Celsius temperature = Celsius.of(
                Math.round(2 * (23 + 6 * Math.sin(2 * Math.PI * day / 365) + random.nextGaussian() * 2)) / 2.0);
        List<CellReading> readings = new ArrayList<>();
        for (int cell = 1; cell <= cells.size(); cell++) {
            readings.add(reading(cell, day, last, temperature, afterWater ? -35 : 0));
        }
        rounds.add(new Round(at, state(last), temperature, readings));
    }

    private RoundState state(boolean last) {
        if (last && told(Story.ReadInService.class).findAny().isPresent()) {
            return RoundState.IN_SERVICE;
        }
        return daysSinceEqualise == 0 ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE;
    }

    private CellReading reading(int cell, int day, boolean last, Celsius temperature, int floating) {
        double points = fullPoints(day, last)
                + cells.get(cell - 1).offset()
                + random.nextGaussian() * HYDROMETER_POINTS
                - 0.7 * (temperature.degrees() - 25)
                + floating
                + slip(cell, last);
        int read = (int) Math.max(SpecificGravity.LEAST_POINTS, Math.round(points));
        boolean tooLow = last && told(Story.PlatesShowing.class).anyMatch(s -> s.cell() == cell);
        return new CellReading(
                cell,
                tooLow ? null : SpecificGravity.ofPoints(read),
                tooLow,
                false,
                null,
                null,
                false,
                last ? level(cell) : null,
                colour(cell, last));
    }

    private double fullPoints(int day, boolean last) {
        double full = model.marks().scale().full().points() + 2;
        double shortBy = told(Story.Undercharged.class)
                .filter(s -> day >= s.fromDay())
                .mapToInt(Story.Undercharged::pointsShort)
                .sum();
        double empty = model.marks().empty().points();
        double left = last
                ? told(Story.ReadInService.class)
                        .mapToDouble(s -> s.percentLeft() / 100.0)
                        .findFirst()
                        .orElse(1)
                : 1;
        return empty + (full - shortBy - empty) * left;
    }

    private int slip(int cell, boolean last) {
        return last
                ? told(Story.SlipOfTheKey.class)
                        .filter(s -> s.cell() == cell)
                        .mapToInt(Story.SlipOfTheKey::pointsOff)
                        .sum()
                : 0;
    }

    private Level level(int cell) {
        if (told(Story.PlatesShowing.class).anyMatch(s -> s.cell() == cell)) {
            return Level.EXPOSED;
        }
        if (told(Story.Thirsty.class).anyMatch(s -> cell <= s.cells())) {
            return Level.LOW;
        }
        return told(Story.Overfilled.class).anyMatch(s -> cell <= s.cells()) ? Level.OVER : Level.RIGHT;
    }

    private @Nullable Colour colour(int cell, boolean last) {
        if (!last) {
            return null;
        }
        return told(Story.Turned.class)
                .filter(s -> s.cell() == cell)
                .map(Story.Turned::colour)
                .findFirst()
                .orElse(Colour.CLEAR);
    }

    private void happen(Instant at, Happening.Kind kind, double quantity) {
        happenings.add(new Happening(at, kind, Math.round(quantity * 10) / 10.0));
    }

    private <S extends Story> Stream<S> told(Class<S> kind) {
        return stories.stream().filter(kind::isInstance).map(kind::cast);
    }
}
