package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.page.Faults;
import org.ostendum.app.people.Person;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.SheetField;
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
    CellReading read(CellReading was, Person person, Words words, Faults.Finder faults) {
        @Nullable String points = typed(SheetField.GRAVITY, "value", value, person, words, faults);
        @Nullable String tenths = typed(SheetField.TEMPERATURE, "temperature", temperature, person, words, faults);
        CellReading is = new CellReading(
                was.cell(),
                points == null ? was.gravity() : SpecificGravity.ofPoints(Integer.parseInt(points)),
                points == null && was.tooLow(),
                points != null || was.confirmed(),
                tenths == null ? was.temperature() : new Celsius(Integer.parseInt(tenths)),
                was.volts(),
                was.onCharge(),
                level == null || level.isEmpty() ? null : Level.valueOf(level),
                colour == null || colour.isEmpty() ? null : Colour.valueOf(colour));
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

    static @Nullable String typed(
            SheetField field, String name, @Nullable String text, Person person, Words words, Faults.Finder faults) {
        TypedInput.Read read = TypedInput.read(field, text, person, words);
        if (read.fault() != null) {
            faults.say(name, read.fault());
        }
        return read.value();
    }
}
