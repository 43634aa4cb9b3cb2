package org.ostendum.app.round;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundPath;
import org.ostendum.core.measure.RoundSheet;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** Puts together what the page of a round being taken shows. */
@Service
class RoundViews {
    private static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 400;

    private final BatteryStates batteryStates;

    RoundViews(BatteryStates batteryStates) {
        this.batteryStates = batteryStates;
    }

    /**
     * What a round's page shows.
     *
     * @param bridged cells that give no volts for now
     * @param next the cell to be read next; 0 when none is left
     * @param verdict on what is read so far
     * @param again the cell whose reading is doubted, 0 for none
     * @param others names of the other people entering values
     */
    record Board(
            Battery battery,
            OpenRound round,
            RoundSheet sheet,
            Set<Integer> bridged,
            BatteryDrawing drawing,
            List<CellOnBoard> cells,
            int next,
            Verdict verdict,
            int again,
            Set<String> others,
            @Nullable KeptValue lastKept) {

        /** @return cells to be read: those bridged tell nothing */
        public int count() {
            return battery.type().model().cells() - bridged.size();
        }

        public int read() {
            return sheet.cellsReadBut(bridged);
        }

        public int unread() {
            return count() - read();
        }

        public boolean isPilot() {
            return round.pilotCell() != null;
        }

        public boolean isDone() {
            return next == 0;
        }
    }

    /**
     * One cell of the board.
     *
     * @param bases ids of the values seen, by field, for the browser
     * @param typed its gravity as a decimal, empty for none
     * @param way how it was done without a gravity: too low, passed over; empty for neither
     * @param level name of the level seen, empty for none
     * @param colour name of the sample's colour, empty for none
     * @param temperature of this cell alone as it is typed, empty for none
     * @param corrected its gravity at the reference temperature, null while that is the same or not known
     */
    record CellOnBoard(
            CellFigure figure,
            boolean done,
            String bases,
            String typed,
            String way,
            String level,
            String colour,
            String temperature,
            @Nullable String corrected) {}

    Board board(Battery battery, OpenRound open, Person person, Words words) {
        int count = battery.type().model().cells();
        RoundSheet sheet = open.sheet(count);
        Round round = sheet.round(batteryStates.instant(), open.state());
        BatteryState state = batteryStates.with(battery, round);
        Verdict verdict = state.verdict();
        BatteryDrawing drawing =
                BatteryPlotter.plot(battery.layout(), battery.type().cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT);
        Set<Integer> bridged = state.cells().bridged().keySet();
        Set<Integer> done = new HashSet<>(sheet.done());
        // A cell that gives no volts tells nothing: nobody is sent to it.
        done.addAll(bridged);
        TemperatureCorrection correction = batteryStates.rulesFor(battery).temperatureCorrection();
        List<CellOnBoard> cells = CellFigures.asRead(drawing, round, verdict, bridged, words).stream()
                .map(figure -> cell(figure, open, round, done, correction, words))
                .toList();
        @Nullable
        KeptValue last =
                open.values().isEmpty() ? null : open.values().get(open.values().size() - 1);
        return new Board(
                battery,
                open,
                sheet,
                bridged,
                drawing,
                cells,
                next(open, count, done, last),
                verdict,
                again(verdict),
                others(open, person),
                last);
    }

    private static CellOnBoard cell(
            CellFigure figure,
            OpenRound open,
            Round round,
            Set<Integer> done,
            TemperatureCorrection correction,
            Words words) {
        int cell = figure.box().cell();
        @Nullable CellReading read = round.reading(cell).orElse(null);
        @Nullable SpecificGravity gravity = read == null ? null : read.gravity();
        return new CellOnBoard(
                figure,
                done.contains(cell),
                bases(open, cell),
                gravity == null ? "" : gravity.decimal(),
                way(read, done.contains(cell)),
                read == null || read.level() == null ? "" : read.level().name(),
                read == null || read.colour() == null ? "" : read.colour().name(),
                read == null || read.temperature() == null ? "" : words.temperatureTyped(read.temperature()),
                read == null ? null : corrected(read, round, correction, words));
    }

    private static String bases(OpenRound open, int cell) {
        return open.values().stream()
                .filter(v -> v.cell() == cell)
                .collect(Collectors.toMap(KeptValue::field, KeptValue::id, Math::max))
                .entrySet()
                .stream()
                .map(e -> e.getKey() + ":" + e.getValue())
                .collect(Collectors.joining(" "));
    }

    private static String way(@Nullable CellReading read, boolean done) {
        if (!done || (read != null && read.gravity() != null)) {
            return "";
        }
        return read != null && read.tooLow() ? SheetField.TOO_LOW.name() : SheetField.SKIPPED.name();
    }

    private static @Nullable String corrected(
            CellReading read, Round round, TemperatureCorrection correction, Words words) {
        @Nullable SpecificGravity gravity = read.gravity();
        @Nullable Celsius warm = round.temperatureOf(read);
        if (gravity == null || warm == null) {
            return null;
        }
        String shown = words.gravity(correction.correct(gravity, warm));
        return shown.equals(words.gravity(gravity)) ? null : shown;
    }

    private static int next(OpenRound open, int count, Set<Integer> done, @Nullable KeptValue last) {
        if (open.pilotCell() != null) {
            return done.contains(open.pilotCell()) ? 0 : open.pilotCell();
        }
        return RoundPath.next(count, done, last == null ? 0 : last.cell()).orElse(0);
    }

    private static int again(Verdict verdict) {
        return verdict.findings().stream()
                .filter(f -> f.code() == FindingCode.READING_IMPOSSIBLE)
                .map(Finding::cells)
                .map(cells -> cells.numbers().get(0))
                .findFirst()
                .orElse(0);
    }

    private static Set<String> others(OpenRound open, Person person) {
        return open.values().stream()
                .filter(v -> v.personId() != person.id())
                .map(KeptValue::person)
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
