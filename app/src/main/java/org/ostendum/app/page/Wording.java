package org.ostendum.app.page;

import java.time.Clock;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Locale;
import org.ostendum.app.site.Sites;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Language;
import org.ostendum.core.people.Person;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** Words for a person, at this moment and in the site's zone. */
@Component
public class Wording {
    private final MessageSource messages;
    private final Clock clock;
    private final ZoneId zone;
    private final Sites sites;

    Wording(MessageSource messages, Clock clock, ZoneId zone, Sites sites) {
        this.messages = messages;
        this.clock = clock;
        this.zone = zone;
        this.sites = sites;
    }

    /** In his own language. */
    public Words of(Person person) {
        return in(person.language(), person);
    }

    /** To somebody who has not signed in: in the language that his browser asks for, or else in that of the site. */
    Words ofStranger(Person stranger, Collection<Locale> asked) {
        Language language = asked.stream()
                .flatMap(locale -> Language.of(locale).stream())
                .findFirst()
                .orElse(sites.site().language());
        return in(language, stranger);
    }

    /** In a language that he has just chosen. */
    public Words in(Language language, Person person) {
        return new Words(
                person,
                messages,
                language.locale(),
                zone,
                clock.instant(),
                sites.site().currency());
    }
}
