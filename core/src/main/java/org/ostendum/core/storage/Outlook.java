package org.ostendum.core.storage;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.electrolyte.FreezingPoint;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.storage.SelfDischarge.Standing;

/**
 * What becomes of a battery that stands: its gravity day by day in the climate of its place, the gravity at which that place would freeze
 * it, and the latest day for its next charge. Practices {@code store.while}, {@code store.freeze}.
 *
 * @param latest day of the next charge; null where nothing presses within the days looked at
 * @param why what presses first
 * @param days from the first, one each
 */
public record Outlook(@Nullable LocalDate latest, Why why, List<Day> days) {
    private static final int DAYS = 400;
    /** Between full and empty by the rule of thumb, from which the model's own scale may differ. */
    private static final double USUAL_SCALE = 140;

    /** Where the rules of thumb are stated. */
    private static final Celsius WARM = Celsius.of(25);

    private static final int FULLEST = 1300;
    private static final int EMPTIEST = 1000;

    public Outlook {
        days = List.copyOf(days);
    }

    /** What presses first. */
    public enum Why {
        /** So many days without a charge are the most. */
        CALENDAR,
        /** Its gravity will have fallen as far as it may. */
        GRAVITY,
        /** It could freeze. */
        FROST,
        NOTHING
    }

    /**
     * One day.
     *
     * @param likely gravity, points
     * @param least gravity that 99 of 100 batteries still have, points
     * @param freezes gravity at which the coldest night of the month, with its margin, freezes the electrolyte, points
     */
    public record Day(LocalDate date, double likely, double least, double freezes) {}

    /**
     * How it was put away.
     *
     * @param since day of the last reading or full charge
     * @param gravity lowest of its cells on that day
     * @param scale points of gravity of its whole capacity
     * @param age 0 new to 1 at the end of its life
     */
    public record Stored(
            LocalDate since, CorrectedGravity gravity, Duty duty, double scale, double age, boolean dirtyTop) {}

    /**
     * How far it may go.
     *
     * @param fall points of gravity
     * @param days without a charge; null for no such limit
     * @param margin kelvins that the coldest night may be colder than foretold
     */
    public record Limits(double fall, @Nullable Integer days, double margin) {}

    public static Outlook of(Stored stored, Climate climate, Limits limits, LearnedLoss loss) {
        List<Day> days = new ArrayList<>();
        double start = stored.gravity().tenths() / 10.0;
        double lost = 0;
        LocalDate latest = null;
        Why why = Why.NOTHING;
        for (int n = 0; n < DAYS; n++) {
            LocalDate date = stored.since().plusDays(n);
            Day day = new Day(
                    date,
                    Math.max(EMPTIEST, start - loss.factor() * lost),
                    Math.max(EMPTIEST, start - loss.atMost() * lost),
                    freezes(climate.coldest(date), limits.margin()));
            days.add(day);
            if (latest == null) {
                why = pressing(day, n, start, limits);
                latest = why == Why.NOTHING ? null : date.minusDays(Math.min(n, 1));
            }
            lost += pointsOn(date, stored, climate);
        }
        return new Outlook(latest, why, days);
    }

    private static Why pressing(Day day, int n, double start, Limits limits) {
        if (day.least() <= day.freezes()) {
            return Why.FROST;
        } else if (start - day.least() >= limits.fall()) {
            return Why.GRAVITY;
        }
        return limits.days() != null && n > limits.days() ? Why.CALENDAR : Why.NOTHING;
    }

    private static double pointsOn(LocalDate date, Stored stored, Climate climate) {
        Celsius mean = climate.mean(date);
        double scale = stored.duty() == Duty.AIRCRAFT ? 1 : stored.scale() / USUAL_SCALE;
        double own = SelfDischarge.pointsPerDay(new Standing(stored.duty(), stored.age(), false, mean));
        // Dirt conducts in the cold as well: there the battery's own loss slows down, and the dirt's does not.
        Celsius warm = mean.compareTo(WARM) < 0 ? WARM : mean;
        double dirt = stored.dirtyTop()
                ? SelfDischarge.pointsPerDay(new Standing(stored.duty(), stored.age(), true, warm))
                        - SelfDischarge.pointsPerDay(new Standing(stored.duty(), stored.age(), false, warm))
                : 0;
        return (own + dirt) * scale;
    }

    /** The weakest electrolyte that a night does not freeze, points. */
    private static double freezes(Celsius coldest, double margin) {
        double night = coldest.degrees() - margin;
        for (int points = EMPTIEST; points < FULLEST; points++) {
            Celsius point = FreezingPoint.of(new CorrectedGravity(points * 10)).orElse(null);
            if (point != null && point.degrees() < night) {
                return points;
            }
        }
        return FULLEST;
    }

    /**
     * What a rule of thumb takes out between two readings, in points: what the readings are held against.
     *
     * @param until not before {@code stored.since()}
     */
    public static double foretold(Stored stored, Climate climate, LocalDate until) {
        double lost = 0;
        for (LocalDate day = stored.since(); day.isBefore(until); day = day.plusDays(1)) {
            lost += pointsOn(day, stored, climate);
        }
        return lost;
    }

    /** @return days from a day to the latest; negative where it is over; null where nothing presses */
    public @Nullable Long daysLeft(LocalDate today) {
        return latest == null ? null : (Long) ChronoUnit.DAYS.between(today, latest);
    }

    /** @return the day, the last of all where it lies further off */
    public Day on(LocalDate date) {
        long n = ChronoUnit.DAYS.between(days.get(0).date(), date);
        return days.get((int) Math.max(0, Math.min(days.size() - 1, n)));
    }
}
