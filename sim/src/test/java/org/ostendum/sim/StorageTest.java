package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.storage.Climate;
import org.ostendum.core.storage.LearnedLoss;
import org.ostendum.core.storage.Outlook;

/** Simulated batteries stand through a winter and a spring: the latest day for their charge against the day they cross the limit. */
class StorageTest {
    private static final BatteryModel CAR = new BatteryModel(
            "car",
            CellKind.FLOODED,
            Duty.DEEP_CYCLE,
            TrayPattern.ROWS_FROM_LEFT.layout(2, 9),
            AmpHours.of(220),
            20,
            GravityMarks.ofPoints(1110, 1190, 1270, 1280));
    private static final double SCALE = 200;
    private static final Outlook.Limits LIMITS = new Outlook.Limits(25, null, 5);
    private static final LocalDate START = LocalDate.of(2026, 10, 15);
    private static final int LONGEST = 390;

    /** One battery that stood: foretold without any reading, and again after one. */
    private record Stood(long crossed, long latest, long learned) {}

    private static Stood stand(long seed) {
        Random random = new Random(seed);
        double level = 6 + 18 * random.nextDouble();
        List<Climate.Month> months = new ArrayList<>();
        for (int month = 0; month < 12; month++) {
            double mean = level - 9 * Math.cos(2 * Math.PI * month / 12);
            months.add(new Climate.Month(mean, mean - 6));
        }
        Climate climate = new Climate(months);
        boolean dirty = random.nextInt(4) == 0;
        double age = random.nextDouble();
        RoomBattery battery = RoomBattery.of(CAR, 0, seed);
        battery.leak(1 + age);
        battery.soil(dirty ? 2 : 0);
        Outlook.Stored stored = new Outlook.Stored(START, battery.lowestGravity(), Duty.DEEP_CYCLE, SCALE, age, dirty);
        Outlook first = Outlook.of(stored, climate, LIMITS, LearnedLoss.USUAL);
        long learned = -1;
        for (int day = 0; day < LONGEST; day++) {
            LocalDate date = START.plusDays(day);
            int fallen = (stored.gravity().tenths() - battery.lowestGravity().tenths()) / 10;
            Outlook.Day foreseen = first.on(date);
            if (fallen >= LIMITS.fall() || battery.lowestGravity().points() <= foreseen.freezes()) {
                return new Stood(day, days(first), learned < 0 ? days(first) : learned);
            }
            if (day == days(first) / 2) {
                double lost = fallen + 3 * random.nextGaussian();
                LearnedLoss loss = LearnedLoss.USUAL.seen(Outlook.foretold(stored, climate, date), lost);
                learned = days(Outlook.of(stored, climate, LIMITS, loss));
            }
            battery.standAt(climate.mean(date));
            battery.pass(0, Duration.ofDays(1));
        }
        return new Stood(LONGEST, days(first), learned < 0 ? days(first) : learned);
    }

    private static long days(Outlook outlook) {
        Long left = outlook.daysLeft(START);
        return left == null ? LONGEST : left;
    }

    /** Aim: never later than the day of crossing in 99 of 100, and not so early that nobody keeps to it. */
    @Test
    void theLatestDayIsInTime() {
        int lives = 200;
        int late = 0;
        int lateLearned = 0;
        List<Double> used = new ArrayList<>();
        List<Double> usedLearned = new ArrayList<>();
        for (int i = 0; i < lives; i++) {
            Stood stood = stand(91_000L + i);
            late += stood.latest() > stood.crossed() ? 1 : 0;
            lateLearned += stood.learned() > stood.crossed() ? 1 : 0;
            used.add(stood.latest() / (double) Math.max(1, stood.crossed()));
            usedLearned.add(stood.learned() / (double) Math.max(1, stood.crossed()));
        }
        Collections.sort(used);
        Collections.sort(usedLearned);
        assertThat(late / (double) lives).isLessThanOrEqualTo(0.01);
        assertThat(lateLearned / (double) lives).isLessThanOrEqualTo(0.01);
        assertThat(used.get(lives / 2)).isGreaterThan(0.4);
        assertThat(usedLearned.get(lives / 2)).isGreaterThan(used.get(lives / 2));
    }

    /** What stands keeps its acid: what its gravity has lost has gone into the plates. */
    @Test
    void standingKeepsTheAcid() {
        RoomBattery battery = RoomBattery.of(CAR, 0, 3);
        battery.standAt(Celsius.of(25));
        int before = battery.lowestGravity().tenths();
        battery.pass(0, Duration.ofDays(30));
        double points = (before - battery.lowestGravity().tenths()) / 10.0;
        assertThat(points).isBetween(4.0, 16.0);
        assertThat(battery.lacking() / battery.capacity()).isBetween(0.03, 0.08);
    }
}
