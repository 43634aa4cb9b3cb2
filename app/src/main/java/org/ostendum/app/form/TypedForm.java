package org.ostendum.app.form;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.ostendum.app.words.Words;

/**
 * Fields that only a battery, a procedure or a sum names, as typed, and what is wrong with them; a form whose fields are
 * always the same is a record that is bound. Whatever is refused, everything typed is still here to be shown again.
 */
public final class TypedForm {
    private final Map<String, String> typed;
    private final Faults.Finder faults;

    public TypedForm(Map<String, String> typed, Words words) {
        this.typed = new HashMap<>(typed);
        this.faults = new Faults.Finder(words);
    }

    public static TypedForm of(Words words, String... namesAndValues) {
        Map<String, String> typed = new HashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            typed.put(namesAndValues[i], namesAndValues[i + 1]);
        }
        return new TypedForm(typed, words);
    }

    /** What was typed, empty for nothing. */
    public String get(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    public Faults faults() {
        return faults.found();
    }

    public boolean isSound() {
        return !faults.any();
    }

    public void fault(String field, String key, Object... arguments) {
        faults.add(field, key, arguments);
    }

    /** The same with the sentence already made. */
    void say(String field, String sentence) {
        faults.say(field, sentence);
    }

    /** A decimal number in a range, both ends included. */
    public double number(String field, double least, double most) {
        return number(field, get(field), least, most);
    }

    /** One number among several typed into a field. */
    public double number(String field, String text, double least, double most) {
        Optional<Double> number = PlainNumber.parse(text).map(BigDecimal::doubleValue);
        if (number.isEmpty()) {
            fault(field, "fault.number", Typed.shortened(text), PlainNumber.say(least), PlainNumber.say(most));
        } else if (number.get() >= least && number.get() <= most) {
            return number.get();
        } else {
            fault(field, "fault.range", text, PlainNumber.say(least), PlainNumber.say(most));
        }
        return least;
    }

    /** A whole number in a range, both ends included. */
    public int whole(String field, int least, int most) {
        double number = number(field, least, most);
        if (number != Math.rint(number)) {
            fault(field, "fault.number", get(field), PlainNumber.say(least), PlainNumber.say(most));
        }
        return (int) number;
    }

    public <E extends Enum<E>> Optional<E> choice(String field, Class<E> kind) {
        Optional<E> chosen = Arrays.stream(kind.getEnumConstants())
                .filter(value -> value.name().equals(get(field)))
                .findFirst();
        if (chosen.isEmpty()) {
            fault(field, "fault.choose");
        }
        return chosen;
    }
}
