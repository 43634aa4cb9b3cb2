package org.ostendum.core.alarm;

import org.ostendum.core.judge.Message;

/**
 * Something that wants a person now.
 *
 * @param about code of the charger, battery or room; with the kind it says which alarm this is
 * @param sentence what is the matter, with its figures, and what to do
 */
public record Alarm(AlarmKind kind, String about, Message sentence) {
    static Alarm of(AlarmKind kind, String about, Object... arguments) {
        return new Alarm(kind, about, Message.of("alarm." + kind, arguments));
    }
}
