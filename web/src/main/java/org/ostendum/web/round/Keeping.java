package org.ostendum.web.round;

import org.ostendum.web.store.KeptValue;

/** What became of a value that was sent. */
sealed interface Keeping {
    /** It is in the database. */
    record Kept() implements Keeping {}

    /** Somebody else has entered another value meanwhile; neither is lost. */
    record Conflict(KeptValue theirs) implements Keeping {}

    /** The round is no longer open. */
    record Gone() implements Keeping {}

    /** No such value can be. */
    record Refused(String why) implements Keeping {}
}
