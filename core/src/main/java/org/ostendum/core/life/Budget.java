package org.ostendum.core.life;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

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
     * A battery that will have to be replaced, and its new one after it.
     *
     * @param anew when a new one in its place will have to be, counted from the day it comes
     * @param money that a new one costs, less what the old one's core brings
     */
    public record Item(LifeForecast forecast, LifeForecast anew, double money) {
        /** @return how many are likely to be bought in each month: the first, and whatever follows it within the time */
        private double[] bought(int months) {
            double[] first = byMonth(forecast, months);
            double[] next = byMonth(anew, months);
            double[] bought = first.clone();
            for (int month = 0; month < months; month++) {
                for (int before = 0; before < month; before++) {
                    bought[month] += bought[before] * next[month - before];
                }
            }
            return bought;
        }

        private static double[] byMonth(LifeForecast forecast, int months) {
            double[] parts = new double[months];
            Arrays.setAll(
                    parts, month -> forecast.between(month / (double) MONTHS_A_YEAR, (month + 1.0) / MONTHS_A_YEAR));
            return parts;
        }
    }

    public static Budget of(List<Item> items, int months) {
        double[] batteries = new double[months];
        double[] money = new double[months];
        for (Item item : items) {
            double[] bought = item.bought(months);
            for (int month = 0; month < months; month++) {
                batteries[month] += bought[month];
                money[month] += bought[month] * item.money();
            }
        }
        return new Budget(IntStream.range(0, months)
                .mapToObj(month -> new Month(batteries[month], money[month]))
                .toList());
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
