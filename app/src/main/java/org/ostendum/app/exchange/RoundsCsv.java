package org.ostendum.app.exchange;

import java.io.Reader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.csv.FileRead;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.ReadingNote;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/** {@code rounds.csv}: one line for each cell read. */
final class RoundsCsv {
    static final List<String> COLUMNS = List.of(
            "battery", "taken_at", "state", "cell", "sg", "temperature_c", "volts", "on_charge", "level_mm", "note");
    private static final List<String> REQUIRED = List.of("battery", "taken_at", "cell");
    private static final int MOST_CELLS = 144;

    private RoundsCsv() {}

    /**
     * A round as the file has it.
     *
     * @param line of its first cell
     */
    record Line(String battery, long line, Round round) {}

    /** Cells of one battery read at one time, as they come. */
    private record Key(String battery, Instant takenAt) {}

    private static final class Gathered {
        private final long line;
        private final RoundState state;
        private final Map<Integer, CellReading> cells = new LinkedHashMap<>();

        Gathered(long line, RoundState state) {
            this.line = line;
            this.state = state;
        }
    }

    /** @return whole rounds, in the order of the file; lines with problems are left out of them */
    static FileRead<Line> read(Reader text) {
        CsvProblems problems = new CsvProblems();
        Map<Key, Gathered> rounds = new LinkedHashMap<>();
        List<String> unknown = CsvFile.read(text, REQUIRED, COLUMNS, problems, row -> add(row, rounds));
        List<Line> lines = new ArrayList<>();
        rounds.forEach((key, g) -> lines.add(new Line(key.battery(), g.line, round(key.takenAt(), g))));
        return new FileRead<>(lines, problems, unknown);
    }

    private static void add(CsvRow row, Map<Key, Gathered> rounds) {
        String battery = row.needed("battery");
        Optional<Instant> takenAt = row.time("taken_at");
        RoundState state = state(row);
        CellReading reading = reading(row);
        if (!row.isSound() || takenAt.isEmpty()) {
            return;
        }
        Gathered round = rounds.computeIfAbsent(new Key(battery, takenAt.get()), k -> new Gathered(row.line(), state));
        if (round.state != state) {
            row.bad("state", "the same for all cells of a round: line " + round.line + " says " + word(round.state));
        } else if (round.cells.putIfAbsent(reading.cell(), reading) != null) {
            row.bad("cell", "each cell once in a round");
        }
    }

    private static RoundState state(CsvRow row) {
        String text = row.text("state");
        Optional<RoundState> state = Arrays.stream(RoundState.values())
                .filter(s -> word(s).equals(text.toLowerCase(Locale.ROOT)))
                .findFirst();
        if (state.isEmpty() && !text.isEmpty()) {
            row.bad(
                    "state",
                    "one of "
                            + String.join(
                                    ", ",
                                    Arrays.stream(RoundState.values())
                                            .map(RoundsCsv::word)
                                            .toList()));
        }
        return state.orElse(RoundState.UNKNOWN);
    }

    static String word(RoundState state) {
        return state.name().toLowerCase(Locale.ROOT);
    }

    private static CellReading reading(CsvRow row) {
        OptionalDouble temperature = row.number("temperature_c", -40, 80);
        OptionalDouble volts = row.number("volts", -3, 4);
        ReadingNote note = ReadingNote.of(row.text("note"));
        return new CellReading(
                row.whole("cell", 1, MOST_CELLS),
                gravity(row),
                note.text().contains("too_low"),
                false,
                temperature.isEmpty() ? null : Celsius.of(temperature.getAsDouble()),
                volts.isEmpty() ? null : Volts.of(volts.getAsDouble()),
                row.text("on_charge").equalsIgnoreCase("true"),
                level(row, note.text()),
                note.colour());
    }

    private static @Nullable SpecificGravity gravity(CsvRow row) {
        OptionalDouble value = row.number("sg", 1, 1400);
        if (value.isEmpty()) {
            return null;
        }
        int points = (int) Math.round(value.getAsDouble() < 2 ? value.getAsDouble() * 1000 : value.getAsDouble());
        if (!SpecificGravity.isPossible(points)) {
            row.bad("sg", "1.000 to 1.400, or 1000 to 1400. Maybe the decimal point is missing?");
            return null;
        }
        return SpecificGravity.ofPoints(points);
    }

    /** Levels seen and not measured are told in the note. */
    private static @Nullable Level level(CsvRow row, String note) {
        OptionalDouble millimetres = row.number("level_mm", -200, 300);
        if (millimetres.isPresent()) {
            return Level.ofMillimetres(millimetres.getAsDouble(), LevelMarks.USUAL);
        }
        return Arrays.stream(Level.values())
                .filter(l -> note.toLowerCase(Locale.ROOT).contains(levelWord(l)))
                .findFirst()
                .orElse(null);
    }

    static String levelWord(Level level) {
        return "level:" + level.name().toLowerCase(Locale.ROOT);
    }

    /** One temperature for all cells is the round's. */
    private static Round round(Instant takenAt, Gathered gathered) {
        List<CellReading> cells = new ArrayList<>(gathered.cells.values());
        @Nullable Celsius first = cells.get(0).temperature();
        boolean common = first != null && cells.stream().allMatch(c -> first.equals(c.temperature()));
        List<CellReading> readings =
                common ? cells.stream().map(RoundsCsv::withoutTemperature).toList() : cells;
        return new Round(takenAt, gathered.state, common ? first : null, readings);
    }

    private static CellReading withoutTemperature(CellReading r) {
        return new CellReading(
                r.cell(), r.gravity(), r.tooLow(), r.confirmed(), null, r.volts(), r.onCharge(), r.level(), r.colour());
    }
}
