package org.ostendum.core.life;

import java.util.ArrayList;
import java.util.List;

/**
 * Replacements and money month by month from now.
 *
 * @param months one each, from the one that begins now
 */
public record Budget(List<Month> months) {
    private static final int MONTHS_A_YEAR = 12;

    public Budget {
        months = List.copyOf(months);
    }

    /**
     * One month.
     *
     * @param batteries to be replaced in it, likely; not a whole number
     * @param money for them
     */
    public record Month(double batteries, double money) {}

    /**
     * A battery that will have to be replaced.
     *
     * @param money that its new one costs, less what its core brings
     */
    public record Item(LifeForecast forecast, double money) {}

    public static Budget of(List<Item> items, int months) {
        List<Month> each = new ArrayList<>();
        for (int month = 0; month < months; month++) {
            double from = month / (double) MONTHS_A_YEAR;
            double batteries = 0;
            double money = 0;
            for (Item item : items) {
                double part = item.forecast().between(from, from + 1.0 / MONTHS_A_YEAR);
                batteries += part;
                money += part * item.money();
            }
            each.add(new Month(batteries, money));
        }
        return new Budget(each);
    }

    /** @return money of twelve months; {@code year} from 0 */
    public double ofYear(int year) {
        return months.stream()
                .skip((long) year * MONTHS_A_YEAR)
                .limit(MONTHS_A_YEAR)
                .mapToDouble(Month::money)
                .sum();
    }

    public double mostOfAMonth() {
        return months.stream().mapToDouble(Month::money).max().orElse(0);
    }

    public double all() {
        return months.stream().mapToDouble(Month::money).sum();
    }
}
