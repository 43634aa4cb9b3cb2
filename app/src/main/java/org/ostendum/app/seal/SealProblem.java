package org.ostendum.app.seal;

import java.util.List;

/**
 * Something in the past that is not as it was.
 *
 * @param key of the sentence that tells it
 * @param arguments of the sentence: the battery's code, the line's number, the day of the seal
 */
record SealProblem(String key, List<Object> arguments) {
    SealProblem {
        arguments = List.copyOf(arguments);
    }

    static SealProblem of(String key, Object... arguments) {
        return new SealProblem(key, List.of(arguments));
    }
}
