package org.ostendum.core.people;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What Ostendum speaks. Figures keep their decimal point in each, as they are typed. */
public enum Language {
    ENGLISH(Locale.ENGLISH),
    /** As it is spoken where decimals have a point. */
    SPANISH(Locale.forLanguageTag("es-MX"));

    private final Locale locale;

    Language(Locale locale) {
        this.locale = locale;
    }

    /** @return the language of a locale, wherever it is spoken; empty for one that Ostendum does not speak */
    public static Optional<Language> of(Locale spoken) {
        return Arrays.stream(values())
                .filter(language -> language.locale.getLanguage().equals(spoken.getLanguage()))
                .findFirst();
    }

    public Locale locale() {
        return locale;
    }
}
