package org.ostendum.app.fleetfile;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.PlainNumber;

/** How values stand in the files. */
final class FleetText {
    private FleetText() {}

    static String number(@Nullable Number value) {
        return value == null ? "" : PlainNumber.say(value.doubleValue());
    }

    /** "deep_cycle" for DEEP_CYCLE. */
    static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    static <E extends Enum<E>> Map<String, E> words(Class<E> kind) {
        return Arrays.stream(kind.getEnumConstants()).collect(Collectors.toMap(FleetText::word, Function.identity()));
    }

    static String yes(boolean value) {
        return value ? "yes" : "no";
    }

    /** @return the value of which the database says that it stands there twice; empty where it does not say */
    static String duplicate(String message) {
        Matcher value = Pattern.compile("Duplicate entry '([^']*)'").matcher(message);
        return value.find() ? value.group(1) : "";
    }
}
