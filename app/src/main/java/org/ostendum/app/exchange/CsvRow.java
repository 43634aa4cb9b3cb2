package org.ostendum.app.exchange;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVRecord;

/** One line of a file, read by its columns; what does not fit is put among the problems. */
final class CsvRow {
    private static final int LONGEST_SHOWN = 60;

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
        return record.isSet(column) ? record.get(column).strip() : "";
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
        try {
            double number = Double.parseDouble(text);
            if (number >= least && number <= most) {
                return OptionalDouble.of(number);
            }
        } catch (NumberFormatException e) {
            // told below with what is allowed
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
        try {
            // As fine as it is kept: a finer one would not be known again.
            return Optional.of(OffsetDateTime.parse(text(column)).toInstant().truncatedTo(ChronoUnit.MICROS));
        } catch (DateTimeException e) {
            bad(column, "a time with its offset such as 2026-03-31T14:05:00Z");
            return Optional.empty();
        }
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
