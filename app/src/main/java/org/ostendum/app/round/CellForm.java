package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;

/**
 * What is typed to put one cell of a round right. What is left empty stays as it was read.
 *
 * @param value gravity as read
 * @param level name of a {@link Level}; empty for none seen
 * @param colour name of a {@link Colour}; empty for none seen
 */
record CellForm(
        @Nullable String value,
        @Nullable String temperature,
        @Nullable String level,
        @Nullable String colour,
        @Nullable String reason) {

    static CellForm of(CellReading reading) {
        return new CellForm(
                "",
                "",
                reading.level() == null ? "" : reading.level().name(),
                reading.colour() == null ? "" : reading.colour().name(),
                "");
    }

    static String reason(@Nullable String typed, Faults.Finder faults) {
        String reason = typed == null ? "" : typed.strip();
        if (reason.length() < 3 || reason.length() > 400) {
            faults.add("reason", "correct.fault.reason");
        }
        return reason;
    }

    /** @return the reading as it is put right; told in {@code faults} where something typed cannot be or nothing is new */
    CellReading read(CellReading was, Words words, Faults.Finder faults) {
        @Nullable SpecificGravity gravity = TypedInput.gravity(value, words).orTell("value", faults);
        @Nullable Celsius celsius = TypedInput.temperature(temperature, words).orTell("temperature", faults);
        CellReading is = new CellReading(
                was.cell(),
                gravity == null ? was.gravity() : gravity,
                gravity == null && was.tooLow(),
                gravity != null || was.confirmed(),
                celsius == null ? was.temperature() : celsius,
                was.volts(),
                was.onCharge(),
                TypedInput.choice(Level.class, level, words).orTell("level", faults),
                TypedInput.choice(Colour.class, colour, words).orTell("colour", faults));
        if (same(was, is)) {
            faults.add("value", "correct.fault.same");
        }
        return is;
    }

    /** A figure that is typed as it was read before is not made surer by it. */
    private static boolean same(CellReading was, CellReading is) {
        return is.equals(new CellReading(
                was.cell(),
                was.gravity(),
                was.tooLow(),
                is.confirmed(),
                was.temperature(),
                was.volts(),
                was.onCharge(),
                was.level(),
                was.colour()));
    }
}
