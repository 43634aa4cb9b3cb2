package org.ostendum.app.round;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.CellBox;
import org.ostendum.app.words.Words;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.Severity;

/** Puts a round's readings and what is held against cells into the drawing. */
public final class CellFigures {
    private CellFigures() {}

    /**
     * Corrected gravities of a round on record.
     *
     * @param bridged cells that give no volts for now
     */
    public static List<CellFigure> corrected(
            BatteryDrawing drawing,
            Round round,
            TemperatureCorrection correction,
            Verdict verdict,
            Set<Integer> bridged,
            Words words) {
        Gravities gravities = Gravities.of(round, correction);
        Map<Integer, Severity> held = held(verdict);
        return drawing.cells().stream()
                .map(box -> {
                    if (bridged.contains(box.cell())) {
                        return bridged(box, words);
                    }
                    CorrectedGravity gravity = gravities.byCell().get(box.cell());
                    String figure = gravity == null ? null : words.gravity(gravity);
                    return figure(box, figure, round.reading(box.cell()).orElse(null), held, words);
                })
                .toList();
    }

    /** Gravities as read, for a round being taken. */
    public static List<CellFigure> asRead(
            BatteryDrawing drawing, Round round, Verdict verdict, Set<Integer> bridged, Words words) {
        Map<Integer, Severity> held = held(verdict);
        return drawing.cells().stream()
                .map(box -> {
                    if (bridged.contains(box.cell())) {
                        return bridged(box, words);
                    }
                    @Nullable CellReading reading = round.reading(box.cell()).orElse(null);
                    String figure =
                            reading == null || reading.gravity() == null ? null : words.gravity(reading.gravity());
                    return figure(box, figure, reading, held, words);
                })
                .toList();
    }

    private static CellFigure bridged(CellBox box, Words words) {
        return new CellFigure(box, words.text("battery.bridged.cell"), Severity.WATCH.name(), null);
    }

    private static CellFigure figure(
            CellBox box,
            @Nullable String figure,
            @Nullable CellReading reading,
            Map<Integer, Severity> held,
            Words words) {
        Severity severity = held.get(box.cell());
        String tone = severity == null ? "NONE" : severity.name();
        if (reading == null) {
            return new CellFigure(box, null, tone, null);
        }
        String shown = figure == null && reading.tooLow() ? words.text("battery.toolow") : figure;
        return new CellFigure(box, shown, tone, remark(reading, words));
    }

    private static @Nullable String remark(CellReading reading, Words words) {
        if (reading.level() != null && reading.level() != Level.RIGHT) {
            return words.name(reading.level());
        }
        return reading.colour() == null || reading.colour() == Colour.CLEAR ? null : words.name(reading.colour());
    }

    /** The worst that is held against each cell. */
    public static Map<Integer, Severity> held(Verdict verdict) {
        Map<Integer, Severity> held = new HashMap<>();
        for (Finding finding : verdict.findings()) {
            finding.cells().numbers().forEach(cell -> held.merge(cell, finding.severity(), Severity::worse));
        }
        return held;
    }
}
