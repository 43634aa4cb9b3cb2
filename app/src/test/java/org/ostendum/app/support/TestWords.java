package org.ostendum.app.support;

import java.time.Instant;
import java.time.ZoneId;
import org.ostendum.app.words.Phrases;
import org.ostendum.app.words.Words;
import org.ostendum.core.measure.GravityForm;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.ostendum.core.people.Theme;
import org.springframework.context.support.ResourceBundleMessageSource;

/** Words as the application has them, for tests without the application. */
public final class TestWords {
    public static final Instant NOW = Instant.parse("2026-11-25T12:00:00Z");
    /** Read once: tests ask for words by the thousand. */
    private static final ResourceBundleMessageSource MESSAGES = messages();

    private TestWords() {}

    private static ResourceBundleMessageSource messages() {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("messages");
        messages.setDefaultEncoding("UTF-8");
        messages.setFallbackToSystemLocale(false);
        messages.setParentMessageSource(new Phrases());
        return messages;
    }

    public static Words metric() {
        return of(false, false, false);
    }

    /** @param points gravities shown as 1265 rather than 1.265 */
    public static Words of(boolean points, boolean fahrenheit, boolean us) {
        return of(points, fahrenheit, us, Language.ENGLISH);
    }

    public static Words in(Language language) {
        return of(false, false, false, language);
    }

    private static Words of(boolean points, boolean fahrenheit, boolean us, Language language) {
        Person person = new Person(
                1,
                "a",
                "A",
                Role.TECHNICIAN,
                true,
                GravityForm.THREE_DIGITS,
                points,
                fahrenheit,
                us,
                Theme.DEVICE,
                language);
        return new Words(person, MESSAGES, language.locale(), ZoneId.of("Europe/Berlin"), NOW);
    }
}
