package org.ostendum.app.round;

/** What became of a value that was sent. */
sealed interface ValueOutcome {
    /** It is in the database. */
    record Kept() implements ValueOutcome {}

    /** Somebody else has entered another value meanwhile; neither is lost. */
    record Conflict(KeptValue theirs) implements ValueOutcome {}

    /** The round is no longer open. */
    record Gone() implements ValueOutcome {}

    /** No such value can be. */
    record Refused(String why) implements ValueOutcome {}
}
