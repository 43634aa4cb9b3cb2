package org.ostendum.app.form;

import java.util.Arrays;
import java.util.List;
import org.ostendum.app.words.Words;

/** One choice of a list. */
public record Option(String value, String label) {

    public static <E extends Enum<E>> List<Option> of(Class<E> kind, Words words) {
        return Arrays.stream(kind.getEnumConstants())
                .map(value -> new Option(value.name(), words.name(value)))
                .toList();
    }
}
