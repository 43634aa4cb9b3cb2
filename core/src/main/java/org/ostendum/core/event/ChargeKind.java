package org.ostendum.core.event;

import java.util.List;

/** What a charge is for. Which of the first three is usual is the school of the machine class. */
public enum ChargeKind {
    /** A working day, a night of charge, and the time to cool: one start a day. */
    CONVENTIONAL,
    /** Short ones in the breaks, with a charger and a battery made for it; a full one each week. */
    OPPORTUNITY,
    /** Charged full after every use, however short. */
    AFTER_USE,
    /** A low current on a battery already full, until its lowest cell stops rising. */
    EQUALISE,
    /** A still lower current for up to three days on one that ordinary charges no longer bring up. */
    SULFATED,
    /** To full before it is put away, and from time to time while it lies. */
    STORAGE,
    /** The first of a new battery. */
    INITIAL,
    /** Of one that was run flat and stood. */
    RECOVERY;

    /** @return whether a battery may be filled up at work with it: no full charge is claimed by its end */
    public boolean isPartial() {
        return this == OPPORTUNITY;
    }

    /** @return what the site may take for the usual one of a machine class */
    public static List<ChargeKind> usual() {
        return List.of(CONVENTIONAL, OPPORTUNITY, AFTER_USE);
    }

    /** @return whether it goes by its hours and its readings, not by what is missing */
    public boolean isLowCurrent() {
        return this == EQUALISE || this == SULFATED;
    }

    /** @return whether only cells that can be watered bear it */
    public boolean needsCaps() {
        return isLowCurrent();
    }
}
