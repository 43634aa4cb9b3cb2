package org.ostendum.core.storage;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;

/**
 * How warm and how cold a place is, month by month.
 *
 * @param months January to December
 */
public record Climate(List<Month> months) {
    /**
     * One month.
     *
     * @param mean °C, −40 to 50
     * @param coldest night that has to be reckoned with, °C, −50 to {@code mean}
     */
    public record Month(double mean, double coldest) {
        public Month {
            OutOfRange.check("mean of a month", mean, -40, 50);
            OutOfRange.check("coldest of a month", coldest, -50, mean);
        }
    }

    public Climate {
        months = List.copyOf(months);
        OutOfRange.check("months", months.size(), 12, 12);
    }

    /** A heated room of which nothing else is known: 20 °C, never below 12. */
    public static Climate heated() {
        return new Climate(Collections.nCopies(12, new Month(20, 12)));
    }

    /** @return of that day, on the straight line from the middle of one month to that of the next */
    public Celsius mean(LocalDate day) {
        double along = (day.getDayOfMonth() - 0.5) / day.lengthOfMonth() - 0.5;
        Month here = month(day.getMonthValue());
        Month next = month(day.getMonthValue() + (along < 0 ? -1 : 1));
        return Celsius.of(here.mean() + Math.abs(along) * (next.mean() - here.mean()));
    }

    public Celsius coldest(LocalDate day) {
        return Celsius.of(month(day.getMonthValue()).coldest());
    }

    private Month month(int number) {
        return months.get(Math.floorMod(number - 1, 12));
    }
}
