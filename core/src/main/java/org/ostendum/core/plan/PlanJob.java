package org.ostendum.core.plan;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;

/**
 * One job of a plan.
 *
 * @param id the same for the same job in every plan of the same room: what, battery, and when it was first possible
 * @param machine of a use or a change
 * @param shift of a use or a change: the one it is for
 * @param charger of a charge
 * @param person at it; null for what runs by itself
 * @param pinned whether a person has said that it stays
 * @param reason why it is so; null where nobody has to be told
 */
public record PlanJob(
        String id,
        Task what,
        String battery,
        @Nullable String machine,
        @Nullable String shift,
        @Nullable String charger,
        @Nullable String person,
        Instant start,
        Instant end,
        boolean pinned,
        @Nullable Message reason) {
    /** @return whether a battery is emptied on the bench, begun by a person and now going on by itself */
    public boolean isOnBench() {
        return what == Task.TEST && person == null;
    }

    /** @return whether a person is at it from its beginning to its end */
    public boolean wantsPerson() {
        return what.wantsPerson() && !isOnBench();
    }

    public Span span() {
        return new Span(start, end);
    }

    /** The same from its start on, for so long. */
    public PlanJob lasting(Duration time) {
        return new PlanJob(id, what, battery, machine, shift, charger, person, start, start.plus(time), pinned, reason);
    }

    public PlanJob withPinned(boolean stays) {
        return new PlanJob(id, what, battery, machine, shift, charger, person, start, end, stays, reason);
    }

    public PlanJob withReason(Message why) {
        return new PlanJob(id, what, battery, machine, shift, charger, person, start, end, pinned, why);
    }
}
