package org.ostendum.core.people;

import org.ostendum.core.measure.GravityForm;

/**
 * Somebody who signs in, with the ways he likes figures typed and shown.
 *
 * @param gravityForm how he keys a gravity
 * @param shownAsPoints whether gravities are shown as 1265 rather than 1.265
 * @param fahrenheit whether temperatures are typed and shown in °F
 * @param usMeasures whether volumes are shown in gallons and weights in pounds
 * @param theme whether pages are light or dark for him
 * @param language in which pages and messages speak to him
 */
public record Person(
        long id,
        String login,
        String name,
        Role role,
        boolean active,
        GravityForm gravityForm,
        boolean shownAsPoints,
        boolean fahrenheit,
        boolean usMeasures,
        Theme theme,
        Language language) {

    /** Technicians, leads and mechanics read and log; the others look on. */
    public boolean worksOnBatteries() {
        return role == Role.TECHNICIAN || role == Role.LEAD || role == Role.MECHANIC;
    }

    /** Safety officers and leads keep stations and trainings. */
    public boolean keepsSafety() {
        return role == Role.SAFETY || role == Role.LEAD;
    }

    /** Whether he has signed in. */
    public boolean isKnown() {
        return id != 0;
    }

    public boolean isLead() {
        return role == Role.LEAD;
    }
}
