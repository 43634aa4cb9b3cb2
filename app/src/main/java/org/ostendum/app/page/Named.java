package org.ostendum.app.page;

import java.util.Optional;
import java.util.function.Function;
import java.util.function.LongFunction;

/**
 * Something an address can name. A parameter {@code Battery battery} of a handler is what the part {@code {battery}} of
 * its address names; where nothing goes by that name, the answer is 404.
 *
 * @param kind type of the parameter
 * @param find by the text in the address
 */
public record Named<T>(Class<T> kind, Function<String, Optional<T>> find) {
    private static final String ID = "\\d{1,18}";

    /** Named by its number. */
    public static <T> Named<T> byId(Class<T> kind, LongFunction<Optional<T>> find) {
        return new Named<>(kind, text -> text.matches(ID) ? find.apply(Long.parseLong(text)) : Optional.empty());
    }
}
