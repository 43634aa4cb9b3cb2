package org.ostendum.app.job;

import org.ostendum.app.form.PlainNumber;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.form.TypedInput.Read;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Task;

/** What is typed at a measuring step, in the unit in which the procedure counts: gravities as at every other place, degrees as the person has them. */
public final class MeasuredValue {
    private static final String POINTS = "points";
    private static final String CELSIUS = "°C";
    /** From here on a number is a gravity in points already: 1265. */
    private static final double LEAST_POINTS = 1000;

    private MeasuredValue() {}

    static Read<String> read(Task.Measure measure, String text, Words words) {
        if (measure.unit().equals(POINTS) && !isPoints(text)) {
            return TypedInput.gravity(text, words).as(gravity -> String.valueOf(gravity.points()));
        } else if (measure.unit().equals(CELSIUS) && words.person().fahrenheit()) {
            return TypedInput.temperature(text, words).as(celsius -> String.valueOf(celsius.degrees()));
        }
        return Read.taken(text);
    }

    private static boolean isPoints(String text) {
        return PlainNumber.parse(text)
                .filter(number -> number.doubleValue() >= LEAST_POINTS)
                .isPresent();
    }

    /** The unit as it stands beside the field. */
    public static String unit(Task.Measure measure, Words words) {
        return switch (measure.unit()) {
            case POINTS -> words.text("job.unit.gravity");
            case CELSIUS -> words.person().fahrenheit() ? "°F" : CELSIUS;
            default -> words.phrase(measure.unit());
        };
    }
}
