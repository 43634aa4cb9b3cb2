package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Rules;

/** Whole rooms whose hydrometer is changed one day, and rooms whose is not. */
class SharedShiftOfRoomsTest {
    private static final Instant START = Instant.parse("2024-01-01T06:00:00Z");
    private static final int DAYS = 500;
    private static final int CHANGED = 300;
    private static final int BATTERIES = 8;
    private static final int ROOMS = 5;
    private static final BatteryModel TRAY = new BatteryModel(
            "24 V tray",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(2, 6),
            AmpHours.of(500),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));

    private static List<List<Life>> rooms;

    /** Two of eight batteries go wrong, each in its own way. */
    @BeforeAll
    static void live() {
        rooms = IntStream.range(0, ROOMS)
                .mapToObj(room -> IntStream.range(0, BATTERIES)
                        .parallel()
                        .mapToObj(battery -> life(100L * room + battery, battery))
                        .toList())
                .toList();
    }

    private static Life life(long seed, int battery) {
        List<Fault> faults =
                switch (battery) {
                    case 0 -> List.of(new Fault.SulfatedBattery(150, 0.001));
                    case 1 -> List.of(new Fault.EarlyStop(250, 0.11));
                    default -> List.of();
                };
        return SimulatedBattery.live(TRAY, Site.random(new Random(7 * seed)), faults, START, DAYS, 0.5, seed);
    }

    /** @param off points the hydrometer is off from the day on which it is changed */
    private static Optional<SharedShift> shift(List<Life> room, int day, int off) {
        Instant now = START.plus(Duration.ofDays(day));
        return SharedShift.of(room.stream().map(life -> course(life, now, off)).toList(), Instant.EPOCH, now);
    }

    private static BatteryCourse course(Life life, Instant now, int off) {
        TemperatureCorrection correction = Rules.standard().temperatureCorrection();
        Instant changed = START.plus(Duration.ofDays(CHANGED));
        List<BatteryCourse.Mark> marks = new ArrayList<>();
        life.rounds().stream()
                .filter(round -> round.state().isFull() && !round.takenAt().isAfter(now))
                .forEach(round -> {
                    Gravities read = Gravities.of(round, correction);
                    int more = round.takenAt().isBefore(changed) ? 0 : 10 * off;
                    marks.add(new BatteryCourse.Mark(
                            round.takenAt(), moved(read.median(), more), moved(read.lowest(), more)));
                });
        return new BatteryCourse(marks.subList(Math.max(0, marks.size() - 16), marks.size()));
    }

    private static CorrectedGravity moved(CorrectedGravity gravity, int tenths) {
        return new CorrectedGravity(gravity.tenths() + tenths);
    }

    @ParameterizedTest
    @ValueSource(ints = {-12, 12})
    void anotherHydrometerIsToldByAllBatteriesTogether(int off) {
        for (List<Life> room : rooms) {
            SharedShift shift = shift(room, CHANGED + 45, off).orElseThrow();
            assertThat(shift.by().tenths()).isBetween(10 * off - 40, 10 * off + 40);
            assertThat(Duration.between(START, shift.since()).toDays()).isBetween(CHANGED - 25L, CHANGED + 25L);
            assertThat(shift.batteries()).isGreaterThanOrEqualTo(BATTERIES - 3);
        }
    }

    /** By the season, by the water, by an equalising charge of all on one day: nothing of that moves them so far. */
    @Test
    void whatMovesSomeOfThemIsNoHydrometer() {
        for (List<Life> room : rooms) {
            for (int day = 60; day <= DAYS; day += 10) {
                assertThat(shift(room, day, 0)).as("day " + day).isEmpty();
            }
        }
    }
}
