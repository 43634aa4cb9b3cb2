package org.ostendum.app.procedure;

import org.ostendum.app.form.Faults;

/** What became of what a person said. */
public sealed interface Answer {
    record Kept() implements Answer {}

    /** It cannot be so; the reasons by field. */
    record Refused(Faults faults) implements Answer {}

    /** Somebody else was quicker; told in a sentence. */
    record Overtaken(String how) implements Answer {}
}
