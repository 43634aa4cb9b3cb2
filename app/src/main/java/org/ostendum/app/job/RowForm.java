package org.ostendum.app.job;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.people.Person;
import org.ostendum.app.procedure.Rows;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.measure.GravityEntry;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

/** Reads a typed row into the form it is kept in; what is wrong with it stays with the form. */
final class RowForm {
    private static final double COLDEST = -40;
    private static final double HOTTEST = 80;
    private static final double MOST_AMPS = 500;
    /** Volts a lead-acid cell can show on charge. */
    private static final double MOST_PER_CELL = 3;
    /** Volts that a whole battery's lid can show between posts. */
    private static final double MOST_ON_LID = 100;

    private RowForm() {}

    /** @return the row, empty when something in it cannot be */
    static Optional<String> read(Task.Rows.Kind kind, TypedForm form, BatteryModel model, Person person) {
        String row =
                switch (kind) {
                    case INITIAL_CHARGE -> charge(form, model, person);
                    case EQUALISE -> equalise(form, person);
                    case TOP_LEAK -> leak(form, model);
                };
        return form.isSound() ? Optional.ofNullable(row) : Optional.empty();
    }

    private static @Nullable String charge(TypedForm form, BatteryModel model, Person person) {
        double volts = form.number("volts", 0, MOST_PER_CELL * model.cells());
        double amps = form.number("amps", 0, MOST_AMPS);
        Celsius temperature = temperature(form, person);
        int points = points(form, person);
        return form.isSound()
                ? Rows.charge(
                        volts, amps, temperature, points, !form.get("level").isEmpty())
                : null;
    }

    private static @Nullable String equalise(TypedForm form, Person person) {
        Celsius temperature = temperature(form, person);
        int points = points(form, person);
        if (points == 0 && form.isSound()) {
            form.fault("gravity", "equalise.fault.gravity");
        }
        return form.isSound() ? Rows.equalise(points, temperature) : null;
    }

    private static Celsius temperature(TypedForm form, Person person) {
        if (person.fahrenheit()) {
            return Celsius.ofFahrenheit(form.number("temperature", COLDEST * 1.8 + 32, HOTTEST * 1.8 + 32));
        }
        return Celsius.of(form.number("temperature", COLDEST, HOTTEST));
    }

    private static int points(TypedForm form, Person person) {
        String typed = form.get("gravity");
        if (typed.isEmpty()) {
            return 0;
        }
        if (GravityEntry.read(typed, person.gravityForm()) instanceof GravityEntry.Accepted accepted) {
            return accepted.gravity().points();
        }
        int digits = person.gravityForm().digits();
        form.fault("gravity", "round.not-understood", typed, digits, digits == 3 ? "265" : "1265");
        return 0;
    }

    private static @Nullable String leak(TypedForm form, BatteryModel model) {
        int cell = form.whole("cell", 1, model.cells());
        double volts = form.number("volts", -MOST_ON_LID, MOST_ON_LID);
        return form.isSound() ? Rows.leak(cell, Volts.of(volts)) : null;
    }
}
