package org.ostendum.app.csv;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A CSV file by RFC 4180 with a header row. */
public final class CsvFile {
    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .setIgnoreHeaderCase(true)
            .setTrim(true)
            .get();

    private CsvFile() {}

    /**
     * Reads line by line. A file that is no CSV, or lacks a required column, is one problem.
     *
     * @return columns that nobody knows
     */
    public static List<String> read(
            Reader text, List<String> required, List<String> known, CsvProblems problems, Consumer<CsvRow> each) {
        long line = 1;
        try (CSVParser parser = FORMAT.parse(new WithoutMark(text))) {
            List<String> columns = parser.getHeaderNames().stream()
                    .map(c -> c.toLowerCase(Locale.ROOT))
                    .toList();
            List<String> missing =
                    required.stream().filter(c -> !columns.contains(c)).toList();
            missing.forEach(c -> problems.add(
                    new CsvProblem(1, c, "", "a column of this name; the header has " + String.join(", ", columns))));
            if (!missing.isEmpty()) {
                return List.of();
            }
            for (CSVRecord record : parser) {
                line = parser.getCurrentLineNumber();
                each.accept(new CsvRow(record, line, problems));
            }
            return columns.stream().filter(c -> !known.contains(c)).toList();
        } catch (UncheckedIOException | IOException | IllegalArgumentException | IllegalStateException e) {
            problems.add(
                    new CsvProblem(line + 1, "", "", "CSV by RFC 4180 in UTF-8, quotes closed, columns named once"));
            return List.of();
        }
    }
}
