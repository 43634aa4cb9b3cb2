package org.ostendum.app.page;

import java.time.Clock;
import java.time.ZoneId;
import java.util.Locale;
import org.ostendum.app.site.Sites;
import org.ostendum.app.words.Words;
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

    /** In English, where no reader's language is known. */
    public Words of(Person person) {
        return of(person, Locale.ENGLISH);
    }

    Words of(Person person, Locale locale) {
        return new Words(
                person, messages, locale, zone, clock.instant(), sites.site().currency());
    }
}
