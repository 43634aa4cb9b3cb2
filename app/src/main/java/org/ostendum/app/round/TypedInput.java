package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.people.Person;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.GravityEntry;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.OutOfRange;

/** Turns what a person typed in his own form and units into what a round's sheet holds. */
final class TypedInput {
    /** Electrolyte of a battery in a room, in use or in storage. */
    private static final Celsius COLDEST = Celsius.of(-40);

    private static final Celsius HOTTEST = Celsius.of(80);

    private TypedInput() {}

    /**
     * What the typed text comes to.
     *
     * @param value for the sheet; null takes the earlier value back
     * @param fault why it was refused; null when it was taken
     */
    record Read(@Nullable String value, @Nullable String fault) {}

    static Read read(SheetField field, @Nullable String text, Person person, Words words) {
        if (text == null || text.isBlank()) {
            return new Read(null, null);
        }
        return switch (field) {
            case GRAVITY -> gravity(text, person, words);
            case TEMPERATURE -> temperature(text.strip(), person, words);
            case LEVEL -> new Read(Level.valueOf(text).name(), null);
            case COLOUR -> new Read(Colour.valueOf(text).name(), null);
            case TOO_LOW, SKIPPED -> new Read("true", null);
        };
    }

    private static Read gravity(String text, Person person, Words words) {
        GravityEntry entry = GravityEntry.read(text, person.gravityForm());
        if (entry instanceof GravityEntry.Accepted accepted) {
            return new Read(String.valueOf(accepted.gravity().points()), null);
        } else if (entry instanceof GravityEntry.Impossible impossible) {
            return new Read(null, words.text("round.refused", impossible.typed()));
        }
        int digits = person.gravityForm().digits();
        String example = digits == 3 ? "265" : "1265";
        return new Read(null, words.text("round.not-understood", text.strip(), digits, example));
    }

    private static Read temperature(String text, Person person, Words words) {
        try {
            double typed = Double.parseDouble(text.replace(',', '.'));
            Celsius celsius = person.fahrenheit() ? Celsius.ofFahrenheit(typed) : Celsius.of(typed);
            if (celsius.compareTo(COLDEST) >= 0 && celsius.compareTo(HOTTEST) <= 0) {
                return new Read(String.valueOf(celsius.tenths()), null);
            }
        } catch (NumberFormatException | OutOfRange e) {
            // told below, with the temperatures no electrolyte has
        }
        return new Read(null, words.text("round.temperature.refused", text, COLDEST, HOTTEST));
    }
}
