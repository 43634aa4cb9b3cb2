package org.ostendum.core.rulebook;

/** Units in which a rule's value is written. */
public enum Unit {
    /** Thousandths of specific gravity. */
    POINTS,
    CELSIUS,
    MINUTES,
    HOURS,
    DAYS,
    COUNT,
    PERCENT,
    MILLIVOLTS,
    KILOWATTS,
    /** For each litre. */
    MILLIGRAMS,
    /** Hundredths of the site’s money. */
    CENTS
}
