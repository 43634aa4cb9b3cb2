package org.ostendum.app.form;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.springframework.beans.BeanWrapperImpl;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.validation.FieldError;

/** A form as it is shown: what stands or was typed in each of its fields, and what is wrong with it. */
public final class FormView {
    private static final String VERSION = "version";

    private final BindingResult result;
    private final Faults faults;

    private FormView(BindingResult result, Faults faults) {
        this.result = result;
        this.faults = faults;
    }

    /** A form in which nothing is wrong yet. */
    public static FormView of(Record form) {
        return new FormView(new BeanPropertyBindingResult(form, "form"), Faults.NONE);
    }

    /** A form that was refused. */
    public static FormView of(BindingResult result, Words words) {
        Faults.Finder faults = new Faults.Finder(words);
        for (FieldError error : result.getFieldErrors()) {
            faults.say(error.getField(), sentence(error, words));
        }
        return new FormView(result, faults.found());
    }

    private static String sentence(FieldError error, Words words) {
        String told = error.getDefaultMessage();
        return told == null
                ? words.text(
                        String.valueOf(error.getCode()),
                        Objects.requireNonNullElse(error.getArguments(), new Object[0]))
                : told;
    }

    /** What stands in the field, empty for nothing and for a field of another form of the page. */
    public String get(String field) {
        if (result.getFieldType(field) == null && !result.hasFieldErrors(field)) {
            return "";
        }
        FieldError refused = result.getFieldError(field);
        return text(refused == null ? result.getFieldValue(field) : refused.getRejectedValue());
    }

    public Faults faults() {
        return faults;
    }

    /**
     * Tells of each field that another person has changed meanwhile what stands there now, and takes the version that is
     * now on record, so that keeping once more sets what was typed.
     *
     * @param now the form of what stands on record
     * @param fixed fields that the form of a change does not have
     */
    public static void clash(BindingResult typed, Record now, String... fixed) {
        BeanWrapperImpl stands = new BeanWrapperImpl(now);
        for (RecordComponent component : now.getClass().getRecordComponents()) {
            String field = component.getName();
            Object theirs = stands.getPropertyValue(field);
            if (field.equals(VERSION)) {
                typed.addError(new FieldError(
                        typed.getObjectName(),
                        field,
                        theirs,
                        false,
                        new String[] {"fault.clash.version"},
                        new Object[0],
                        null));
            } else if (!List.of(fixed).contains(field)
                    && !text(typed.getFieldValue(field)).equals(text(theirs))) {
                boolean chosen = component.getType() == Long.class;
                Faults.tell(
                        typed,
                        field,
                        chosen ? "fault.clash.choice" : "fault.clash",
                        theirs instanceof Enum<?> named ? named : text(theirs));
            }
        }
    }

    private static String text(@Nullable Object value) {
        if (value == null) {
            return "";
        }
        if (value instanceof Double number) {
            return PlainNumber.say(number);
        }
        return value instanceof Enum<?> chosen ? chosen.name() : value.toString();
    }
}
