package org.ostendum.app.form;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.FieldError;
import org.springframework.web.servlet.ModelAndView;

/** What is wrong with a form, by field, in words that name the value, what is allowed and a remedy. */
public record Faults(Map<String, String> byField) {
    public static final Faults NONE = new Faults(Map.of());

    public @Nullable String of(String field) {
        return byField.get(field);
    }

    public boolean any() {
        return !byField.isEmpty();
    }

    /** Collects faults while a form is read; the first of each field stands. */
    public static final class Finder {
        private final Words words;
        private final Map<String, String> byField = new LinkedHashMap<>();

        public Finder(Words words) {
            this.words = words;
        }

        public void add(String field, String key, Object... arguments) {
            byField.putIfAbsent(field, words.text(key, arguments));
        }

        /** The same with the sentence already made. */
        public void say(String field, String sentence) {
            byField.putIfAbsent(field, sentence);
        }

        public boolean any() {
            return !byField.isEmpty();
        }

        public Faults found() {
            return new Faults(new LinkedHashMap<>(byField));
        }
    }

    /** Says what is wrong with a field of a bound form, also of one that could not be bound in all its fields; the first fault of each stands. */
    public static void tell(BindingResult form, String field, String key, Object... arguments) {
        if (form.hasFieldErrors(field)) {
            return;
        }
        form.addError(new FieldError(
                form.getObjectName(), field, form.getFieldValue(field), false, new String[] {key}, arguments, null));
    }

    /** The page again, with everything typed still in it, under a status that says it was not taken. */
    public static ModelAndView page(HttpStatus status, String view, Model page) {
        return new ModelAndView(view, page.asMap(), status);
    }
}
