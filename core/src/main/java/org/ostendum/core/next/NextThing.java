package org.ostendum.core.next;

import java.util.Comparator;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.Severity;

/**
 * A job the room should do, and why.
 *
 * @param battery its code
 * @param step what to do
 * @param severity how much hangs on it
 * @param job the job in a few words, such as "Equalise T-14."
 * @param reason why, in a sentence with its figures
 * @param overdueDays days past its date; 0 for a job without one
 * @param minutes of work, as a rule of thumb
 */
public record NextThing(
        String battery, NextStep step, Severity severity, Message job, Message reason, long overdueDays, int minutes) {

    /** Most urgent first: by severity, by what can be done at once, by days overdue, then by the battery's code. */
    public static final Comparator<NextThing> MOST_URGENT = Comparator.comparing(NextThing::severity)
            .reversed()
            .thenComparing(NextThing::step)
            .thenComparing(Comparator.comparing(NextThing::overdueDays).reversed())
            .thenComparing(NextThing::battery);
}
