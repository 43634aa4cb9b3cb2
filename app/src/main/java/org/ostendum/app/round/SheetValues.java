package org.ostendum.app.round;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.TypedInput;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.Colour;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.SheetField;
import org.ostendum.core.measure.SheetValue;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;

/** Values of a round's sheet as they are typed, kept and told. */
final class SheetValues {
    private SheetValues() {}

    /** What was typed or picked for one field. */
    static TypedInput.Read<SheetValue> typed(SheetField field, @Nullable String text, Words words) {
        if (text == null || text.isBlank()) {
            return TypedInput.Read.nothing();
        }
        return switch (field) {
            case GRAVITY -> TypedInput.gravity(text, words).as(SheetValue.Gravity::new);
            case TEMPERATURE -> TypedInput.temperature(text, words).as(SheetValue.Warm::new);
            case LEVEL -> TypedInput.choice(Level.class, text, words).as(SheetValue.Seen::new);
            case COLOUR -> TypedInput.choice(Colour.class, text, words).as(SheetValue.Coloured::new);
            case TOO_LOW -> TypedInput.Read.taken(new SheetValue.TooLow());
            case SKIPPED -> TypedInput.Read.taken(new SheetValue.Skipped());
        };
    }

    /** As the column holds it: points, tenths of a degree, a name, or "true". */
    static @Nullable String text(@Nullable SheetValue value) {
        if (value == null) {
            return null;
        } else if (value instanceof SheetValue.Gravity read) {
            return String.valueOf(read.gravity().points());
        } else if (value instanceof SheetValue.Warm warm) {
            return String.valueOf(warm.celsius().tenths());
        } else if (value instanceof SheetValue.Seen seen) {
            return seen.level().name();
        } else if (value instanceof SheetValue.Coloured coloured) {
            return coloured.colour().name();
        }
        return "true";
    }

    /** What the column's text means. */
    static @Nullable SheetValue read(SheetField field, @Nullable String text) {
        if (text == null) {
            return null;
        }
        return switch (field) {
            case GRAVITY -> new SheetValue.Gravity(SpecificGravity.ofPoints(Integer.parseInt(text)));
            case TEMPERATURE -> new SheetValue.Warm(new Celsius(Integer.parseInt(text)));
            case LEVEL -> new SheetValue.Seen(Level.valueOf(text));
            case COLOUR -> new SheetValue.Coloured(Colour.valueOf(text));
            case TOO_LOW -> new SheetValue.TooLow();
            case SKIPPED -> new SheetValue.Skipped();
        };
    }

    /** As a person is told of it; "–" for a value taken back. */
    static String told(@Nullable SheetValue value, Words words) {
        if (value instanceof SheetValue.Gravity read) {
            return words.gravity(read.gravity());
        } else if (value instanceof SheetValue.Warm warm) {
            return words.temperature(warm.celsius());
        } else if (value instanceof SheetValue.Seen seen) {
            return words.name(seen.level());
        } else if (value instanceof SheetValue.Coloured coloured) {
            return words.name(coloured.colour());
        }
        return value == null ? "–" : words.name(value.field());
    }
}
