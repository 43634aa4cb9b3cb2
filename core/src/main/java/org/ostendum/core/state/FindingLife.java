package org.ostendum.core.state;

import java.util.Locale;

/** How far a finding has come. Each move has its evidence; silence moves nothing. */
public enum FindingLife {
    /** Seen once, by a round that could be wrong. */
    SUSPECTED,
    /** Seen again, proved on an equalised battery, or plain to the eye. */
    CONFIRMED,
    /** Something was done about it; a reading has to show whether it helped. */
    ACTED_UPON,
    /** Refuted by what can refute it. */
    SETTLED;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public boolean isOpen() {
        return this != SETTLED;
    }
}
