package org.ostendum.app.site;

import org.ostendum.core.people.Language;

/**
 * The site as its people named it.
 *
 * @param name empty where nobody has said
 * @param currency its sign or three letters, shown with every amount; empty where nobody has said
 * @param zone in which clocks are read; empty for the one the application was started with
 * @param fahrenheit and {@code usMeasures}: the units of somebody who is new
 * @param hazards of the place, told with first aid: acid, gas, who to call, where the shower is
 * @param guides local codes and standing orders that people are to go by
 * @param language in which pages speak before anybody has signed in, and to somebody who is new
 */
public record Site(
        String name,
        String currency,
        String zone,
        boolean fahrenheit,
        boolean usMeasures,
        String hazards,
        String guides,
        Language language) {
    /** One of which nobody has said anything. */
    public static final Site UNNAMED = new Site("", "", "", false, false, "", "", Language.ENGLISH);

    public boolean isNamed() {
        return !name.isEmpty();
    }
}
