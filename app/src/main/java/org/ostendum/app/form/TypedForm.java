package org.ostendum.app.form;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;

/** A form as typed, and what is wrong with it. Whatever is refused, everything typed is still here to be shown again. */
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

    /** A text of 1 to {@code most} characters. */
    public String text(String field, int most) {
        String text = get(field);
        if (text.isEmpty()) {
            fault(field, "fault.blank");
        } else if (text.length() > most) {
            fault(field, "fault.length", text.substring(0, Math.min(20, most)) + "…", most);
        }
        return text;
    }

    /** A text of at most {@code most} characters, empty where nothing was typed. */
    public String textIfTyped(String field, int most) {
        return get(field).isEmpty() ? "" : text(field, most);
    }

    /** A code that can stand in an address: letters, digits and hyphens, at most 20. */
    public String code(String field) {
        String code = text(field, 60);
        if (!code.isEmpty() && !code.matches("[A-Za-z0-9-]{1,20}")) {
            fault(field, "fault.code", code);
        }
        return code;
    }

    /** A decimal number in a range, both ends included. */
    public double number(String field, double least, double most) {
        String text = get(field);
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

    public OptionalInt wholeIfTyped(String field, int least, int most) {
        return get(field).isEmpty() ? OptionalInt.empty() : OptionalInt.of(whole(field, least, most));
    }

    /** A day that has come, null when none was typed. */
    public @Nullable LocalDate day(String field, LocalDate today) {
        LocalDate day = anyDay(field);
        if (day != null && day.isAfter(today)) {
            fault(field, "fault.date.future", get(field));
        }
        return day;
    }

    /** A day, gone or to come, null when none was typed. */
    public @Nullable LocalDate anyDay(String field) {
        String text = get(field);
        Optional<LocalDate> day = PlainDay.parse(text);
        if (day.isEmpty() && !text.isEmpty()) {
            fault(field, "fault.date", Typed.shortened(text));
        }
        return day.orElse(null);
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

    /** An id chosen from a list, null when none was. */
    public @Nullable Long id(String field) {
        try {
            return get(field).isEmpty() ? null : Long.valueOf(get(field));
        } catch (NumberFormatException e) {
            fault(field, "fault.choose");
            return null;
        }
    }
}
