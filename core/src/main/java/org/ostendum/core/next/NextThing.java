package org.ostendum.core.next;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.Severity;

/**
 * A job the room should do, and why.
 *
 * @param battery its code
 * @param step what to do
 * @param severity how much hangs on it
 * @param procedure that does it, {@code round} or {@code volts} for readings; null where none does
 * @param sentence the job in a few words, such as "Equalise T-14."
 * @param reason why, in a sentence with its figures
 * @param due when it became due; null for a job without a date
 * @param overdueDays days past its date; 0 for a job without one
 * @param time how long it takes
 */
public record NextThing(
        String battery,
        NextStep step,
        Severity severity,
        @Nullable String procedure,
        Message sentence,
        Message reason,
        @Nullable Instant due,
        long overdueDays,
        Time time) {

    /**
     * How long a job takes, as a rule of thumb.
     *
     * @param handsOn at the battery
     * @param inAll from its beginning to its end, the charger's hours included
     */
    public record Time(Duration handsOn, Duration inAll) {
        static Time minutes(int handsOn, int inAll) {
            return new Time(Duration.ofMinutes(handsOn), Duration.ofMinutes(Math.max(handsOn, inAll)));
        }
    }

    /** Most urgent first: by severity, by what can be done at once, by days overdue, then by the battery's code. */
    public static final Comparator<NextThing> MOST_URGENT = Comparator.comparing(NextThing::severity)
            .reversed()
            .thenComparing(NextThing::step)
            .thenComparing(Comparator.comparing(NextThing::overdueDays).reversed())
            .thenComparing(NextThing::battery);

    /** @return minutes at the battery */
    public int minutes() {
        return (int) time.handsOn().toMinutes();
    }
}
