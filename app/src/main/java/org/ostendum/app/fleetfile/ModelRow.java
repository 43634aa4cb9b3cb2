package org.ostendum.app.fleetfile;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutFault;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.LevelMarks;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.receive.DateScheme;

/** One line of models: what it leaves out is as it was, or as most are. */
final class ModelRow {
    private static final int MOST_CELLS = 144;
    private static final int VOLTS_A_CELL = 2;

    private final CsvRow row;
    private final @Nullable StoredModel was;

    ModelRow(CsvRow row, @Nullable StoredModel was) {
        this.row = row;
        this.was = was;
    }

    /** @return the model; empty where the line has a fault, which is told then */
    Optional<StoredModel> read() {
        String code = row.kept("model", row.needed("model"), 30);
        CellKind kind = row.oneOf(
                "kind",
                FleetText.words(CellKind.class),
                was == null ? CellKind.FLOODED : was.model().kind());
        Duty duty = row.oneOf(
                "use",
                FleetText.words(Duty.class),
                was == null ? Duty.MOTIVE : was.model().duty());
        Optional<CellLayout> layout = layout();
        double capacity = needed("capacity_ah", 1, 5000);
        Double hours = row.keptNumber(
                "rate_hours", was == null ? null : (Double) was.model().rateHours(), 0.5, 100);
        Optional<GravityMarks> marks =
                marks(was == null ? GravityMarks.usualFor(duty) : was.model().marks());
        int mark = row.whole("mark_mm", 4, 120, was == null ? LevelMarks.USUAL.markMm() : was.levelMarkMm());
        Double weight = row.keptNumber("weight_kg", was == null ? null : (Double) (double) was.weightKg(), 0, 5000);
        if (!row.isSound() || layout.isEmpty() || marks.isEmpty()) {
            return Optional.empty();
        }
        BatteryModel model = new BatteryModel(
                code,
                kind,
                duty,
                layout.get(),
                AmpHours.of(capacity),
                hours == null ? usualRate(duty) : hours,
                marks.get());
        Optional<StoredModel> read = Optional.of(new StoredModel(
                was == null ? 0 : was.id(),
                model,
                row.kept("maker", was == null ? "" : was.maker(), 60),
                mark,
                row.kept("mark_words", was == null ? "" : was.levelWords(), 160),
                weight == null ? 0 : (int) Math.round(weight),
                row.oneOf("cables", Map.of("left", true, "right", false), was != null && was.cablesLeft()),
                was == null ? DateScheme.LETTER_DIGIT : was.dateScheme(),
                was == null ? 0 : was.torqueTenths(),
                row.has("connector") ? row.kept("connector", "", 40) : was == null ? "" : was.connector(),
                row.yes("opportunity", was != null && was.opportunity()),
                was == null ? null : was.prices()));
        return row.isSound() ? read : Optional.empty();
    }

    /** Hours by which the capacity is usually told. Source: {@code test.capacity}. */
    private static double usualRate(Duty duty) {
        return switch (duty) {
            case MOTIVE -> 6;
            case DEEP_CYCLE -> 20;
            case AIRCRAFT -> 1;
            case STATIONARY -> 10;
        };
    }

    private double needed(String column, double least, double most) {
        if (row.text(column).isEmpty()) {
            row.bad(column, "not to be empty");
        }
        OptionalDouble number = row.number(column, least, most);
        return number.orElse(least);
    }

    private Optional<CellLayout> layout() {
        int cells = row.whole("cells", 1, MOST_CELLS);
        double volts = needed("volts", VOLTS_A_CELL, VOLTS_A_CELL * MOST_CELLS);
        if (row.isSound() && volts != VOLTS_A_CELL * cells) {
            row.bad("volts", VOLTS_A_CELL * cells + ": " + cells + " cells of 2 V each");
        }
        int each = row.whole(
                "cells_per_block", 1, 6, was == null ? 1 : was.model().layout().cellsPerCase());
        if (row.isSound() && (each == 2 || each == 5 || cells % each != 0)) {
            row.bad("cells_per_block", "1, 3, 4 or 6, going into " + cells + " cells without a rest");
        }
        if (!row.isSound()) {
            return Optional.empty();
        }
        String text = row.text("layout");
        return text.isEmpty() ? usual(cells / each, each) : parsed("layout", text, cells, each);
    }

    /** In so many rows; a model on record keeps its drawing where it has as many cells and rows. */
    private Optional<CellLayout> usual(int cases, int each) {
        String typed = row.text("rows");
        if (typed.contains("/") || typed.contains(" ")) {
            return parsed("rows", typed, cases * each, each);
        }
        int rows = row.whole("rows", 1, 12, UsualLayout.rows(cases));
        if (row.isSound() && (rows > cases || (cases + rows - 1) / rows > 12)) {
            row.bad("rows", "1 to 12 rows of at most 12 for " + cases + " cells or blocks");
        }
        if (!row.isSound()) {
            return Optional.empty();
        }
        CellLayout layout = was == null ? null : was.model().layout();
        boolean fits = layout != null && layout.cells() == cases * each && layout.cellsPerCase() == each;
        if (layout != null && fits && (typed.isEmpty() || layout.rows() == rows)) {
            return Optional.of(layout);
        }
        return Optional.of(LayoutText.parse(UsualLayout.text(cases, rows, each), each));
    }

    private Optional<CellLayout> parsed(String column, String text, int cells, int each) {
        try {
            CellLayout layout = LayoutText.parse(text, each);
            if (layout.cells() == cells) {
                return Optional.of(layout);
            }
            row.bad(column, "a drawing of " + cells + " cells; it shows " + layout.cells());
        } catch (LayoutFault e) {
            row.bad(column, "rows such as 1 2 3/6 5 4, blocks with their way from + to −: 1> 2> 3>/6< 5< 4<");
        }
        return Optional.empty();
    }

    private Optional<GravityMarks> marks(GravityMarks usual) {
        int empty = points("sg_empty", usual.empty());
        int full = points("sg_full", usual.fullFrom());
        int moved = full - usual.fullFrom().points();
        int recharge = points("sg_recharge", usual.rechargeBelow());
        int fullTo = row.text("sg_full_to").isEmpty()
                ? usual.fullTo().points() + moved
                : points("sg_full_to", usual.fullTo());
        if (!row.isSound()) {
            return Optional.empty();
        }
        try {
            return Optional.of(GravityMarks.ofPoints(empty, Math.min(recharge, full), full, fullTo));
        } catch (IllegalArgumentException e) {
            row.bad("sg_full", "gravities that rise from empty to full");
            return Optional.empty();
        }
    }

    /** 1.285 or 1285. */
    private int points(String column, CorrectedGravity usual) {
        String text = row.text(column);
        if (text.isEmpty()) {
            return usual.points();
        }
        OptionalDouble number = row.number(column, 1, 1400);
        int points = (int) Math.round(number.orElse(1000) < 2 ? number.orElse(1) * 1000 : number.orElse(1000));
        if (number.isPresent() && (points < 1000 || points > 1400)) {
            row.bad(column, "a gravity from 1.000 to 1.400");
        }
        return points;
    }

    static String gravity(CorrectedGravity gravity) {
        return FleetText.number(gravity.points() / 1000.0);
    }
}
