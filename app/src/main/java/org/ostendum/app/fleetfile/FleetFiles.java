package org.ostendum.app.fleetfile;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.fleetfile.FleetReport.Change;
import org.ostendum.app.fleetfile.FleetReport.FileReport;
import org.ostendum.app.fleetfile.FleetReport.Value;
import org.ostendum.core.people.Person;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes the files of a fleet in, whole or not at all, and gives them back. A look is a taking that is undone at its end, so
 * that what it promises is what happens.
 */
@Service
class FleetFiles {
    private final Map<FleetFile, FleetTable> tables = new EnumMap<>(FleetFile.class);
    private final ChargersTable chargers;
    private final Awaited awaited;
    private final TransactionTemplate transaction;

    FleetFiles(List<FleetTable> all, ChargersTable chargers, Awaited awaited, PlatformTransactionManager transactions) {
        all.forEach(table -> tables.put(table.file(), table));
        this.chargers = chargers;
        this.awaited = awaited;
        this.transaction = new TransactionTemplate(transactions);
        // Undone by itself where something larger goes on around it.
        transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
    }

    FleetTable table(FleetFile file) {
        return Objects.requireNonNull(tables.get(file));
    }

    /** What would come of it; nothing is written. */
    FleetReport look(Map<FleetFile, byte[]> files, Person by) {
        return run(files, by, false);
    }

    /** Takes sound files in; of those with a fault none. */
    FleetReport take(Map<FleetFile, byte[]> files, Person by) {
        return run(files, by, true);
    }

    private FleetReport run(Map<FleetFile, byte[]> files, Person by, boolean keep) {
        FleetReport report = transaction.execute(status -> {
            List<FileReport> reports = new ArrayList<>();
            new EnumMap<>(files).forEach((file, content) -> reports.add(take(file, content, by)));
            FleetReport told = new FleetReport(false, reports);
            boolean taken = keep && told.isSound();
            if (!taken) {
                status.setRollbackOnly();
            }
            return new FleetReport(taken, reports);
        });
        return Objects.requireNonNull(report);
    }

    private FileReport take(FleetFile file, byte[] content, Person by) {
        FleetTable table = table(file);
        CsvProblems problems = new CsvProblems();
        List<CsvRow> rows = new ArrayList<>();
        Map<String, List<String>> before = table.lines();
        List<String> unknown = CsvFile.read(text(content), table.required(), table.columns(), problems, rows::add);
        refuseTwice(table.columns().get(0), rows);
        if (problems.count() == 0) {
            write(table, rows, by);
        }
        Map<String, List<String>> after = problems.count() == 0 ? table.lines() : before;
        List<Change> changes = changes(table.columns(), before, after, rows);
        int added = (int) changes.stream().filter(Change::added).count();
        int changed = changes.size() - added;
        return new FileReport(
                file.word(),
                rows.size(),
                added,
                changed,
                problems.count() == 0 ? Math.max(0, rows.size() - changes.size()) : 0,
                problems.count(),
                problems.first().stream()
                        .sorted(Comparator.comparing(p -> p.line()))
                        .toList(),
                unknown,
                stillAwaited(file),
                changes);
    }

    private static Reader text(byte[] content) {
        return new BufferedReader(new InputStreamReader(new ByteArrayInputStream(content), StandardCharsets.UTF_8));
    }

    private static void refuseTwice(String column, List<CsvRow> rows) {
        Set<String> seen = new HashSet<>();
        for (CsvRow row : rows) {
            if (!seen.add(row.text(column))) {
                row.bad(column, "each once in a file");
            }
        }
    }

    /** The database has the last word: what it refuses is told of the file as a whole. */
    private void write(FleetTable table, List<CsvRow> rows, Person by) {
        try {
            table.take(rows, by);
            chargers.hang();
        } catch (DataIntegrityViolationException e) {
            String message = String.valueOf(e.getMessage());
            String column =
                    message.contains("serial") ? "serial" : table.columns().get(0);
            rows.stream()
                    .findFirst()
                    .ifPresent(row -> row.bad(column, "each once in the site: " + FleetText.duplicate(message)));
        }
    }

    private List<String> stillAwaited(FleetFile file) {
        Awaited.@Nullable What what =
                switch (file) {
                    case PLACES -> Awaited.What.CHARGER;
                    case CHARGERS -> Awaited.What.MACHINE;
                    case BATTERIES -> Awaited.What.OWNER;
                    default -> null;
                };
        return what == null
                ? List.of()
                : awaited.of(what).entrySet().stream()
                        .map(e -> e.getKey() + ": " + e.getValue())
                        .toList();
    }

    private static List<Change> changes(
            List<String> columns,
            Map<String, List<String>> before,
            Map<String, List<String>> after,
            List<CsvRow> rows) {
        List<Change> changes = new ArrayList<>();
        for (CsvRow row : rows) {
            String code = row.text(columns.get(0));
            List<String> is = after.get(code);
            List<String> was = before.get(code);
            if (is != null && !is.equals(was)) {
                changes.add(new Change(code, was == null, values(columns, was, is)));
            }
        }
        return changes;
    }

    private static List<Value> values(List<String> columns, @Nullable List<String> was, List<String> is) {
        List<Value> values = new ArrayList<>();
        for (int i = 1; i < columns.size(); i++) {
            String old = was == null ? "" : was.get(i);
            if (!old.equals(is.get(i))) {
                values.add(new Value(columns.get(i), old, is.get(i)));
            }
        }
        return values;
    }

    /** Writes a file as it can be taken in again. */
    void give(FleetFile file, Appendable out) throws IOException {
        FleetTable table = table(file);
        try (CSVPrinter csv = header(table, out)) {
            for (List<String> line : table.lines().values()) {
                csv.printRecord(line);
            }
        }
    }

    /** Writes only the columns, to be filled in. */
    void template(FleetFile file, Appendable out) throws IOException {
        header(table(file), out).close();
    }

    private static CSVPrinter header(FleetTable table, Appendable out) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader(table.columns().toArray(String[]::new))
                .get()
                .print(out);
    }
}
