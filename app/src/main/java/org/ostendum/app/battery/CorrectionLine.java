package org.ostendum.app.battery;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.quantity.Celsius;

/** What a line that puts another one right says: what it was, what it is, and why. */
final class CorrectionLine {
    private CorrectionLine() {}

    static String of(LedgerEntry entry, Words words) {
        LedgerPayload.TakenBack back = entry.told(LedgerPayload.TakenBack.class);
        String reason = Objects.requireNonNullElse(back.reason(), "");
        if (back.takenBack() != null) {
            return words.text("line.taken-back.of", words.name(back.takenBack()), reason);
        }
        Integer points = entry.told(LedgerPayload.GravitiesShifted.class).addedPoints();
        if (points != null) {
            return words.text("line.correction.gravities", String.format(Locale.ROOT, "%+d", points), reason)
                    .strip();
        }
        LedgerPayload.RoundCorrected round = entry.told(LedgerPayload.RoundCorrected.class);
        if (round.isAboutRound()) {
            return words.text(
                    "line.correction",
                    words.text("line.correction.round"),
                    head(Objects.requireNonNull(round.is()), words),
                    head(Objects.requireNonNull(round.was()), words),
                    reason);
        }
        LedgerPayload.CellCorrected cell = entry.told(LedgerPayload.CellCorrected.class);
        CellReading is = Objects.requireNonNull(cell.is());
        CellReading was = Objects.requireNonNull(cell.was());
        return words.text(
                "line.correction",
                words.text("line.correction.cell", is.cell()),
                reading(is, was, words),
                reading(was, is, words),
                reason);
    }

    /** What was read of a cell, of that which another reading of it has otherwise. */
    private static String reading(CellReading reading, CellReading other, Words words) {
        List<String> parts = new ArrayList<>();
        if (!Objects.equals(reading.gravity(), other.gravity()) || reading.tooLow() != other.tooLow()) {
            parts.add(reading.gravity() == null ? words.text("battery.toolow") : words.gravity(reading.gravity()));
        }
        if (!Objects.equals(reading.temperature(), other.temperature())) {
            parts.add(temperature(reading.temperature(), words));
        }
        if (reading.level() != other.level()) {
            parts.add(seen(reading.level(), words));
        }
        if (reading.colour() != other.colour()) {
            parts.add(seen(reading.colour(), words));
        }
        return String.join(", ", parts);
    }

    private static String temperature(@Nullable Celsius temperature, Words words) {
        return temperature == null ? "–" : words.temperature(temperature);
    }

    private static String seen(@Nullable Enum<?> what, Words words) {
        return what == null ? "–" : words.name(what);
    }

    private static String head(LedgerPayload.RoundHead round, Words words) {
        String state = words.name(Objects.requireNonNull(round.state()));
        return round.temperature() == null ? state : state + ", " + words.temperature(round.temperature());
    }
}
