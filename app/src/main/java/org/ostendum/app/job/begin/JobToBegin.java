package org.ostendum.app.job.begin;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Situation;

/**
 * A job that somebody is about to begin, as things stand.
 *
 * @param battery null for a job of the room
 * @param into the machine the battery goes into, where the job asks for one and it is known
 * @param choice of a charger, where the job asks for one
 * @param situation under which the gates were asked
 * @param gates as they stand; none where nobody looks at them
 */
record JobToBegin(
        Procedure procedure,
        @Nullable Battery battery,
        BeginForm form,
        @Nullable Machine into,
        @Nullable Choice choice,
        Situation situation,
        List<GateLine> gates) {
    /** One that asks for no machine and no reason. */
    static JobToBegin plain(
            Procedure procedure, Battery battery, @Nullable Choice choice, Situation situation, List<GateLine> gates) {
        return new JobToBegin(procedure, battery, BeginForm.EMPTY, null, choice, situation, gates);
    }

    List<GateLine> shut() {
        return gates.stream().filter(GateLine::isShut).toList();
    }

    /** What no record tells and no step of the job will ask: it is looked at before. */
    List<GateLine> looks() {
        return gates.stream()
                .filter(GateLine::isUnknown)
                .filter(line -> procedure.steps().stream().noneMatch(step -> step.answers() == line.gate()))
                .toList();
    }

    /** @return whether the person may go through what is shut, with a reason */
    boolean mayBeOverriddenBy(Person person) {
        return person.isLead() && shut().stream().allMatch(GateLine::mayBeOverridden);
    }
}
