package org.ostendum.app.exchange;

import java.io.Reader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.csv.FileRead;
import org.ostendum.app.event.EventType;
import org.ostendum.app.event.GivenEvent;
import org.ostendum.core.event.BatteryEvent;

/** {@code events.csv}: what happened to batteries between rounds, one line each. */
final class EventsCsv {
    static final List<String> COLUMNS =
            List.of("battery", "at", "type", "quantity", "unit", "cell", "note", "how", "evidence", "charger");
    private static final List<String> REQUIRED = List.of("battery", "at", "type");
    private static final int MOST_CELLS = 144;
    /** The column of the ledger holds no more. */
    private static final double MOST = 99_999;

    private EventsCsv() {}

    /** A happening as the file has it. */
    record Line(String battery, long line, BatteryEvent event, String note) {}

    static FileRead<Line> read(Reader text) {
        CsvProblems problems = new CsvProblems();
        List<Line> lines = new ArrayList<>();
        List<String> unknown = CsvFile.read(text, REQUIRED, COLUMNS, problems, row -> add(row, lines));
        return new FileRead<>(lines, problems, unknown);
    }

    private static void add(CsvRow row, List<Line> lines) {
        String battery = row.needed("battery");
        Optional<Instant> at = row.time("at");
        Optional<EventType> type = EventType.ofWord(row.text("type")).filter(EventType::isInFiles);
        if (type.isEmpty()) {
            row.bad("type", "one of " + EventType.words());
        }
        OptionalDouble quantity = row.number("quantity", -200, MOST);
        type.ifPresent(t -> unit(row, t));
        Integer cell = row.text("cell").isEmpty() ? null : (Integer) row.whole("cell", 1, MOST_CELLS);
        if (row.isSound() && at.isPresent() && type.isPresent()) {
            event(
                            row,
                            new GivenEvent(
                                    type.get(),
                                    at.get(),
                                    quantity.isPresent() ? (Double) quantity.getAsDouble() : null,
                                    cell,
                                    row.text("note"),
                                    row.text("how"),
                                    words(row.text("evidence")),
                                    row.text("charger")))
                    .ifPresent(event -> lines.add(new Line(battery, row.line(), event, row.text("note"))));
        }
    }

    private static Optional<BatteryEvent> event(CsvRow row, GivenEvent given) {
        try {
            return Optional.of(given.event());
        } catch (GivenEvent.Bad bad) {
            row.bad(bad.field(), bad.expected());
            return Optional.empty();
        }
    }

    private static List<String> words(String text) {
        return text.isEmpty() ? List.of() : List.of(text.strip().split("[ ;]+", -1));
    }

    /** Another unit is not guessed at. */
    private static void unit(CsvRow row, EventType type) {
        String unit = row.text("unit");
        if (!unit.isEmpty() && !unit.equalsIgnoreCase(type.unit())) {
            row.bad("unit", type.unit().isEmpty() ? "no unit for " + type.word() : type.unit());
        }
    }
}
