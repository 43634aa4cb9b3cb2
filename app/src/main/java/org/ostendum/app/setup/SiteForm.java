package org.ostendum.app.setup;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.site.Site;
import org.ostendum.core.people.Language;

/**
 * The site as typed.
 *
 * @param fahrenheit and {@code usMeasures}: anything for the units of somebody who is new
 * @param version of the record when it was shown
 */
record SiteForm(
        @Needed @Text(max = 80) String name,
        @Text(max = 8) @Nullable String currency,
        @Text(max = 60) @Nullable String zone,
        @Nullable String fahrenheit,
        @Nullable String usMeasures,
        @Text(max = 1000) @Nullable String hazards,
        @Text(max = 1000) @Nullable String guides,
        @Nullable Language language,
        @Nullable Integer version) {

    static SiteForm of(Site site, int version) {
        return new SiteForm(
                site.name(),
                site.currency(),
                site.zone(),
                site.fahrenheit() ? "yes" : null,
                site.usMeasures() ? "yes" : null,
                site.hazards(),
                site.guides(),
                site.language(),
                version);
    }

    Site site() {
        return new Site(
                name,
                text(currency),
                text(zone),
                isSet(fahrenheit),
                isSet(usMeasures),
                text(hazards),
                text(guides),
                language == null ? Language.ENGLISH : language);
    }

    private static String text(@Nullable String typed) {
        return Objects.requireNonNullElse(typed, "").strip();
    }

    private static boolean isSet(@Nullable String box) {
        return box != null && !box.isEmpty();
    }
}
