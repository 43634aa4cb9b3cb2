package org.ostendum.core.receive;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Reads date codes. A one-digit year fits once in each decade: all that a battery may still be are given, newest first. */
public final class DateCode {
    /** Older than this, no battery of these kinds is still about. Rule of thumb: {@code life}, 12 years and some storage. */
    static final int OLDEST_YEARS = 20;

    private static final String MONTHS = "ABCDEFGHIJKL";
    private static final String MONTHS_NO_I = "ABCDEFGHJKLM";

    private DateCode() {}

    /**
     * @param code as stamped, blanks and case of no account
     * @return the months it can mean by that scheme, newest first; none when it cannot be one
     */
    public static List<YearMonth> read(String code, DateScheme scheme, LocalDate today) {
        String stamped = code.replaceAll("[\\s./-]", "").toUpperCase(Locale.ROOT);
        return switch (scheme) {
            case LETTER_DIGIT ->
                stamped.matches("[A-Z][0-9]")
                        ? byLetter(stamped.charAt(0), stamped.charAt(1), MONTHS, today)
                        : List.of();
            case LETTER_DIGIT_NO_I ->
                stamped.matches("[A-Z][0-9]")
                        ? byLetter(stamped.charAt(0), stamped.charAt(1), MONTHS_NO_I, today)
                        : List.of();
            case DIGIT_LETTER ->
                stamped.matches("[0-9][A-Z]")
                        ? byLetter(stamped.charAt(1), stamped.charAt(0), MONTHS, today)
                        : List.of();
            case MONTH_YEAR ->
                stamped.matches("[0-9]{4}")
                        ? byMonth(Integer.parseInt(stamped.substring(0, 2)), year(stamped), today)
                        : List.of();
            case WEEK_YEAR ->
                stamped.matches("[0-9]{4}")
                        ? byWeek(Integer.parseInt(stamped.substring(0, 2)), year(stamped), today)
                        : List.of();
        };
    }

    /** @return what the other schemes make of it, those that make something */
    public static Map<DateScheme, List<YearMonth>> otherwise(String code, DateScheme scheme, LocalDate today) {
        Map<DateScheme, List<YearMonth>> others = new EnumMap<>(DateScheme.class);
        List<YearMonth> own = read(code, scheme, today);
        for (DateScheme other : DateScheme.values()) {
            List<YearMonth> months = read(code, other, today);
            if (other != scheme && !months.isEmpty() && !months.equals(own)) {
                others.put(other, months);
            }
        }
        return others;
    }

    private static int year(String stamped) {
        return 2000 + Integer.parseInt(stamped.substring(2));
    }

    private static List<YearMonth> byLetter(char letter, char digit, String alphabet, LocalDate today) {
        int month = alphabet.indexOf(letter) + 1;
        List<YearMonth> months = new ArrayList<>();
        if (month == 0) {
            return months;
        }
        YearMonth now = YearMonth.from(today);
        for (int year = now.getYear(); year >= now.getYear() - OLDEST_YEARS; year--) {
            YearMonth possible = YearMonth.of(year, month);
            if (year % 10 == digit - '0' && !possible.isAfter(now)) {
                months.add(possible);
            }
        }
        return months;
    }

    private static List<YearMonth> byMonth(int month, int year, LocalDate today) {
        return month < 1 || month > 12 ? List.of() : ifPast(YearMonth.of(year, month), today);
    }

    private static List<YearMonth> byWeek(int week, int year, LocalDate today) {
        LocalDate middle = LocalDate.of(year, 7, 1);
        if (week < 1
                || week
                        > IsoFields.WEEK_OF_WEEK_BASED_YEAR
                                .rangeRefinedBy(middle)
                                .getMaximum()) {
            return List.of();
        }
        return ifPast(YearMonth.from(middle.with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, week)), today);
    }

    private static List<YearMonth> ifPast(YearMonth month, LocalDate today) {
        YearMonth now = YearMonth.from(today);
        return month.isAfter(now) || month.isBefore(now.minusYears(OLDEST_YEARS)) ? List.of() : List.of(month);
    }
}
