package org.ostendum.standins;

import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** A CSV file with a header, one thing a line. */
final class LinesFile {
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();

    private LinesFile() {}

    /** @throws IOException also for a line that cannot be: it says which and why */
    static <T> List<T> read(Path file, Function<CSVRecord, T> one) throws IOException {
        List<T> all = new ArrayList<>();
        try (Reader reader = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            for (CSVRecord line : FORMAT.parse(reader)) {
                try {
                    all.add(one.apply(line));
                } catch (IllegalArgumentException e) {
                    throw new IOException(file + ", line " + (line.getRecordNumber() + 1) + ": " + e.getMessage(), e);
                }
            }
        }
        return all;
    }
}
