package org.ostendum.core.judge;

/** One question the judge asks of a battery: a small class of its own. Pure: the same case gets the same answer. */
public interface Question {
    /** The name under which a screen tells that it was not judged. */
    String name();

    Outcome ask(Case battery);
}
