package org.ostendum.core.judge;

import java.util.List;

/**
 * A sentence to be said in the reader's language and units.
 *
 * @param key of the sentence
 * @param arguments quantities of {@code core.quantity}, {@link Cells}, {@link java.time.LocalDate},
 *     {@link java.time.Instant}, whole numbers, texts, or other messages
 */
public record Message(String key, List<Object> arguments) {
    public Message {
        arguments = List.copyOf(arguments);
    }

    public static Message of(String key, Object... arguments) {
        return new Message(key, List.of(arguments));
    }
}
