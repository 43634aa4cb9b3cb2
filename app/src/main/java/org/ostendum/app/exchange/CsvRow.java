package org.ostendum.app.exchange;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVRecord;
import org.ostendum.app.form.PlainNumber;
import org.ostendum.app.form.PlainTime;

/** One line of a file, read by its columns; what does not fit is put among the problems. */
final class CsvRow {
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

    long line() {
        return line;
    }

    /** @return whether nothing asked of it so far was wrong */
    boolean isSound() {
        return sound;
    }

    String text(String column) {
        String text = record.isSet(column) ? record.get(column).strip() : "";
        if (text.length() > LONGEST && sound) {
            sound = false;
            problems.add(new CsvProblem(
                    line, column, text.substring(0, LONGEST_SHOWN) + "…", "at most " + LONGEST + " characters"));
        }
        return text;
    }

    String needed(String column) {
        String text = text(column);
        if (text.isEmpty()) {
            bad(column, "not to be empty");
        }
        return text;
    }

    OptionalDouble number(String column, double least, double most) {
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

    int whole(String column, int least, int most) {
        OptionalDouble number = text(column).isEmpty() ? OptionalDouble.empty() : number(column, least, most);
        if (sound && (number.isEmpty() || number.getAsDouble() != Math.rint(number.getAsDouble()))) {
            bad(column, "a whole number from " + least + " to " + most);
        }
        return (int) number.orElse(least);
    }

    Optional<Instant> time(String column) {
        Optional<Instant> time = PlainTime.parse(text(column));
        if (time.isEmpty()) {
            bad(column, "a time from 1980 to 2099 with its offset such as 2026-03-31T14:05:00Z");
        }
        return time;
    }

    void bad(String column, String expected) {
        sound = false;
        String value = text(column);
        String shown = value.length() > LONGEST_SHOWN ? value.substring(0, LONGEST_SHOWN) + "…" : value;
        problems.add(new CsvProblem(line, column, shown, expected));
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
