package org.ostendum.app.csv;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.PlainDay;
import org.ostendum.app.form.PlainNumber;
import org.ostendum.app.form.PlainTime;

/** One line of a file, read by its columns; what does not fit is put among the problems. */
public final class CsvRow {
    private static final int LONGEST_SHOWN = 60;
    private static final int LONGEST = 400;

    private final CSVRecord record;
    private final long line;
    private final CsvProblems problems;
    private boolean sound = true;

    CsvRow(CSVRecord record, long line, CsvProblems problems) {
        this.record = record;
        this.line = line;
        this.problems = problems;
    }

    public long line() {
        return line;
    }

    /** @return whether nothing asked of it so far was wrong */
    public boolean isSound() {
        return sound;
    }

    public String text(String column) {
        String text = record.isSet(column) ? record.get(column).strip() : "";
        if (text.length() > LONGEST && sound) {
            sound = false;
            problems.add(new CsvProblem(
                    line, column, text.substring(0, LONGEST_SHOWN) + "…", "at most " + LONGEST + " characters"));
        }
        return text;
    }

    public String needed(String column) {
        String text = text(column);
        if (text.isEmpty()) {
            bad(column, "not to be empty");
        }
        return text;
    }

    public OptionalDouble number(String column, double least, double most) {
        String text = text(column);
        if (text.isEmpty()) {
            return OptionalDouble.empty();
        }
        Optional<BigDecimal> number = PlainNumber.parse(text);
        if (number.isPresent()
                && number.get().doubleValue() >= least
                && number.get().doubleValue() <= most) {
            return OptionalDouble.of(number.get().doubleValue());
        }
        bad(column, "a number from " + plain(least) + " to " + plain(most));
        return OptionalDouble.empty();
    }

    public int whole(String column, int least, int most) {
        OptionalDouble number = text(column).isEmpty() ? OptionalDouble.empty() : number(column, least, most);
        if (sound && (number.isEmpty() || number.getAsDouble() != Math.rint(number.getAsDouble()))) {
            bad(column, "a whole number from " + least + " to " + most);
        }
        return (int) number.orElse(least);
    }

    /** @return whether the file has such a column at all */
    public boolean has(String column) {
        return record.isMapped(column);
    }

    /** @return a code that can stand in an address: letters, digits and hyphens, at most 20 */
    public String code(String column) {
        String text = needed(column);
        if (sound && !text.matches("[A-Za-z0-9-]{1,20}")) {
            bad(column, "1 to 20 letters, digits and hyphens");
        }
        return text;
    }

    /** @return the cell; {@code was} where the column is left out or the cell is empty */
    public String kept(String column, String was, int longest) {
        String text = text(column);
        if (text.length() > longest) {
            bad(column, "at most " + longest + " characters");
        }
        return text.isEmpty() ? was : text;
    }

    /** @return the number of the cell, null for an empty one; {@code was} where the column is left out */
    public @Nullable Double keptNumber(String column, @Nullable Double was, double least, double most) {
        if (!has(column)) {
            return was;
        }
        OptionalDouble number = number(column, least, most);
        return number.isPresent() ? (Double) number.getAsDouble() : null;
    }

    /** @return the whole number of the cell; {@code was} where the column is left out or the cell is empty */
    public int whole(String column, int least, int most, int was) {
        return text(column).isEmpty() ? was : whole(column, least, most);
    }

    /** @return what the word of the cell stands for; {@code was} where the column is left out or the cell is empty */
    public <T> T oneOf(String column, Map<String, T> words, T was) {
        String text = text(column).toLowerCase(Locale.ROOT);
        if (text.isEmpty()) {
            return was;
        }
        @Nullable T meant = words.get(text);
        if (meant == null) {
            bad(column, "one of " + words.keySet().stream().sorted().collect(Collectors.joining(", ")));
            return was;
        }
        return meant;
    }

    public boolean yes(String column, boolean was) {
        return oneOf(
                column, Map.of("yes", true, "true", true, "1", true, "no", false, "false", false, "0", false), was);
    }

    /** @return the day of the cell; {@code was} where the column is left out or the cell is empty */
    public @Nullable LocalDate day(String column, @Nullable LocalDate was) {
        if (text(column).isEmpty()) {
            return was;
        }
        Optional<LocalDate> day = PlainDay.parse(text(column));
        if (day.isEmpty()) {
            bad(column, "a day from 1980 to 2099 such as 2026-03-31");
        }
        return day.orElse(was);
    }

    public Optional<Instant> time(String column) {
        Optional<Instant> time = PlainTime.parse(text(column));
        if (time.isEmpty()) {
            bad(column, "a time from 1980 to 2099 with its offset such as 2026-03-31T14:05:00Z");
        }
        return time;
    }

    public void bad(String column, String expected) {
        sound = false;
        String value = text(column);
        String shown = value.length() > LONGEST_SHOWN ? value.substring(0, LONGEST_SHOWN) + "…" : value;
        problems.add(new CsvProblem(line, column, shown, expected));
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
