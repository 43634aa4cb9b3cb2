package org.ostendum.app.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.LocaleResolver;

/** Texts of a template are in the same language as its words: the person's, whatever the browser was set up with. */
@Component("localeResolver")
class PersonsLocale implements LocaleResolver {
    private final CurrentPerson people;

    PersonsLocale(CurrentPerson people) {
        this.people = people;
    }

    @Override
    public Locale resolveLocale(HttpServletRequest request) {
        return people.words(request).locale();
    }

    @Override
    public void setLocale(HttpServletRequest request, @Nullable HttpServletResponse response, @Nullable Locale locale) {
        throw new UnsupportedOperationException("A person's language is kept with his settings");
    }
}
