package org.ostendum.core.measure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;

/** A round being taken: entries in the order in which they were made, and what they come to. */
public final class RoundSheet {
    /** A second draw this close to the first confirms it; a hydrometer is read to 2 points at best (rule of thumb). */
    private static final int SAME_WITHIN_POINTS = 5;

    private static final int WHOLE_ROUND = 0;

    private final int cells;
    private final Map<Place, SheetValue> last = new HashMap<>();
    private final Set<Integer> confirmed = new HashSet<>();

    private record Place(int cell, SheetField field) {}

    /**
     * @param cells number of cells of the battery
     * @param entries in the order in which they were made
     */
    public RoundSheet(int cells, List<SheetEntry> entries) {
        this.cells = cells;
        entries.forEach(this::enter);
    }

    private void enter(SheetEntry entry) {
        Place place = new Place(entry.cell(), entry.field());
        if (entry.field() == SheetField.GRAVITY) {
            noteConfirmation(entry.cell(), last.get(place), entry.value());
        }
        if (entry.value() == null) {
            last.remove(place);
        } else {
            last.put(place, entry.value());
            dropContradicted(entry);
        }
    }

    private void noteConfirmation(int cell, @Nullable SheetValue before, @Nullable SheetValue now) {
        boolean same = before instanceof SheetValue.Gravity first
                && now instanceof SheetValue.Gravity second
                && Math.abs(first.gravity().points() - second.gravity().points()) <= SAME_WITHIN_POINTS;
        if (same) {
            confirmed.add(cell);
        } else {
            confirmed.remove(cell);
        }
    }

    /** A cell has a gravity, or is too low, or was skipped: the last word counts. */
    private void dropContradicted(SheetEntry entry) {
        Set<SheetField> ways = Set.of(SheetField.GRAVITY, SheetField.TOO_LOW, SheetField.SKIPPED);
        if (ways.contains(entry.field())) {
            ways.stream().filter(way -> way != entry.field()).forEach(way -> last.remove(new Place(entry.cell(), way)));
        }
    }

    private boolean has(int cell, SheetField field) {
        return last.containsKey(new Place(cell, field));
    }

    /** @return the gravity of a cell as read, null when none was */
    public @Nullable SpecificGravity gravity(int cell) {
        return last.get(new Place(cell, SheetField.GRAVITY)) instanceof SheetValue.Gravity read ? read.gravity() : null;
    }

    /** @return the temperature of the whole round, null when not taken */
    public @Nullable Celsius temperature() {
        return celsius(WHOLE_ROUND);
    }

    private @Nullable Celsius celsius(int cell) {
        return last.get(new Place(cell, SheetField.TEMPERATURE)) instanceof SheetValue.Warm warm
                ? warm.celsius()
                : null;
    }

    private @Nullable Level level(int cell) {
        return last.get(new Place(cell, SheetField.LEVEL)) instanceof SheetValue.Seen seen ? seen.level() : null;
    }

    private @Nullable Colour colour(int cell) {
        return last.get(new Place(cell, SheetField.COLOUR)) instanceof SheetValue.Coloured coloured
                ? coloured.colour()
                : null;
    }

    /** @return readings of every cell on which anything was entered, in the order of the path */
    public List<CellReading> readings() {
        List<CellReading> readings = new ArrayList<>();
        for (int cell = 1; cell <= cells; cell++) {
            if (isTouched(cell)) {
                readings.add(reading(cell));
            }
        }
        return readings;
    }

    private boolean isTouched(int cell) {
        return Arrays.stream(SheetField.values())
                .filter(field -> field != SheetField.SKIPPED)
                .anyMatch(field -> has(cell, field));
    }

    private CellReading reading(int cell) {
        return new CellReading(
                cell,
                gravity(cell),
                has(cell, SheetField.TOO_LOW),
                confirmed.contains(cell),
                celsius(cell),
                null,
                false,
                level(cell),
                colour(cell));
    }

    /** @return cells that need no visit any more */
    public Set<Integer> done() {
        return IntStream.rangeClosed(1, cells)
                .filter(cell ->
                        has(cell, SheetField.GRAVITY) || has(cell, SheetField.TOO_LOW) || has(cell, SheetField.SKIPPED))
                .boxed()
                .collect(Collectors.toSet());
    }

    /** @return cells read, without some that do not count */
    public int cellsReadBut(Set<Integer> without) {
        return (int) readings().stream()
                .filter(reading -> reading.isRead() && !without.contains(reading.cell()))
                .count();
    }

    public int cellsRead() {
        return cellsReadBut(Set.of());
    }

    public Round round(Instant takenAt, RoundState state) {
        return new Round(takenAt, state, temperature(), readings());
    }
}
