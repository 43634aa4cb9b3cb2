package org.ostendum.app.form;

import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/** What a field of a form record holds, for the sentence that tells why something typed cannot be it. */
final class FieldKinds {
    private final Class<?> form;

    FieldKinds(Class<?> form) {
        this.form = form;
    }

    /** A sentence of the bundle. */
    // Handed on once, never compared.
    @SuppressWarnings("ArrayRecordComponent")
    record Unread(String key, Object[] arguments) {}

    Unread unread(String field, String typed) {
        Optional<RecordComponent> component = component(field);
        Class<?> kind = component.<Class<?>>map(RecordComponent::getType).orElse(String.class);
        if (kind == LocalDate.class) {
            return new Unread("fault.date", new Object[] {typed});
        }
        Within within = component.map(c -> c.getAnnotation(Within.class)).orElse(null);
        if (within == null) {
            return new Unread("fault.choose", new Object[0]);
        }
        return new Unread("fault.number", new Object[] {typed, within.min(), within.max()});
    }

    private Optional<RecordComponent> component(String field) {
        return form.isRecord()
                ? Arrays.stream(form.getRecordComponents())
                        .filter(c -> c.getName().equals(field))
                        .findFirst()
                : Optional.empty();
    }
}
