package org.ostendum.app.job;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/** Reads a typed row into the form it is kept in; what is wrong with it stays with the form. */
final class RowForm {
    private static final double MOST_AMPS = 500;
    /** Volts a lead-acid cell can show on charge. */
    private static final double MOST_PER_CELL = 3;
    /** Volts that a whole battery's lid can show between posts. */
    private static final double MOST_ON_LID = 100;

    /** The longest first charge is over by then; an older row belongs to another. */
    private static final Duration LONGEST_AGO = Duration.ofDays(7);

    private RowForm() {}

    /** @return the row, empty when something in it cannot be */
    static Optional<String> read(Task.Rows.Kind kind, TypedForm form, BatteryModel model, Words words) {
        String row =
                switch (kind) {
                    case INITIAL_CHARGE -> charge(form, model, words);
                    case EQUALISE -> equalise(form, words);
                    case TOP_LEAK -> leak(form, model);
                    case BLOCK_VOLTS -> blockVolts(form, model);
                };
        @Nullable Instant earlier = earlier(form, words);
        if (!form.isSound() || row == null) {
            return Optional.empty();
        }
        return Optional.of(earlier == null ? row : Rows.readAt(row, earlier));
    }

    /** When it was read, for what is entered later from paper; null for now. */
    private static @Nullable Instant earlier(TypedForm form, Words words) {
        @Nullable Instant at = TypedInput.past(form.get("when"), words).orTell("when", form);
        if (at != null && at.isBefore(words.now().minus(LONGEST_AGO))) {
            form.fault("when", "row.fault.old", form.get("when"), (int) LONGEST_AGO.toDays());
        }
        return at;
    }

    private static @Nullable String charge(TypedForm form, BatteryModel model, Words words) {
        double volts = form.number("volts", 0, MOST_PER_CELL * model.cells());
        double amps = form.number("amps", 0, MOST_AMPS);
        Celsius temperature = temperature(form, words);
        int points = points(form, words);
        return form.isSound()
                ? Rows.charge(
                        volts, amps, temperature, points, !form.get("level").isEmpty())
                : null;
    }

    private static @Nullable String equalise(TypedForm form, Words words) {
        Celsius temperature = temperature(form, words);
        int points = points(form, words);
        if (points == 0 && form.isSound()) {
            form.fault("gravity", "equalise.fault.gravity");
        }
        return form.isSound() ? Rows.equalise(points, temperature) : null;
    }

    private static Celsius temperature(TypedForm form, Words words) {
        Celsius read = TypedInput.temperature(form.get("temperature"), words).orTell("temperature", form);
        if (read == null) {
            form.fault("temperature", "fault.blank");
            return Celsius.of(0);
        }
        return read;
    }

    /** @return 0 where none was typed */
    private static int points(TypedForm form, Words words) {
        SpecificGravity read = TypedInput.gravity(form.get("gravity"), words).orTell("gravity", form);
        return read == null ? 0 : read.points();
    }

    /** Block 0 is the string. A meter whose leads are swapped, or a block turned round, shows minus. */
    private static @Nullable String blockVolts(TypedForm form, BatteryModel model) {
        int block = form.whole("block", 0, model.layout().cases().size());
        double most =
                MOST_PER_CELL * (block == 0 ? model.cells() : model.layout().cellsPerCase());
        double volts = form.number("volts", -most, most);
        return form.isSound() ? Rows.blockVolts(block, Volts.of(volts)) : null;
    }

    private static @Nullable String leak(TypedForm form, BatteryModel model) {
        int cell = form.whole("cell", 1, model.cells());
        double volts = form.number("volts", -MOST_ON_LID, MOST_ON_LID);
        return form.isSound() ? Rows.leak(cell, Volts.of(volts)) : null;
    }
}
