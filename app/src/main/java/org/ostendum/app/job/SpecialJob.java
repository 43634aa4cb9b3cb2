package org.ostendum.app.job;

import java.math.BigDecimal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.wiring.School;

/** What the jobs of some procedures need besides their text: steps made for the very battery, a second look, a drawing. */
public interface SpecialJob {
    boolean isOf(String procedure);

    /** @return whether it can be done to a battery at all; null for a job on the room */
    default boolean suits(@Nullable Battery battery) {
        return true;
    }

    /** @return whether its steps come in an order that can be chosen, as of the cables of a pack */
    default boolean isOrdered() {
        return false;
    }

    /** @return the procedure as it is run on this battery */
    default ProcedureFile written(ProcedureFile file, Begun begun) {
        return file;
    }

    /** @return what speaks against settling a step with a value, to the person; empty for nothing */
    default Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        return Optional.empty();
    }

    /** Does what a step means beyond its job. Needs the transaction in which the step is settled. */
    default void done(Job job, Run before, Battery battery, Person person) {}

    /** @return what has been made free by a step that is settled and is charged next */
    default Optional<Battery> toCharge(Job job, Step settled) {
        return Optional.empty();
    }

    /** Does what it means that a job was stopped. Needs the transaction in which it was. */
    default void stopped(Job job, Run after, Person person) {}

    /** @return what its parts cost, at the prices of the day; empty where nobody has said, or none were needed */
    default Optional<BigDecimal> cost(Run run, Battery battery) {
        return Optional.empty();
    }

    /** @return what is drawn beside the steps as the run stands */
    default Optional<Beside> beside(Job job, Run run, Battery battery) {
        return Optional.empty();
    }

    /**
     * A job about to be begun.
     *
     * @param into the machine it is begun for; null for none
     * @param school in which order the cables of a pack come off or go on
     */
    record Begun(String procedure, Battery battery, @Nullable Machine into, Person person, School school) {}

    /**
     * A drawing beside the steps.
     *
     * @param fragment by which it is shown, such as {@code wiring/at :: pack}
     * @param what it shows
     */
    record Beside(String fragment, Object what) {}
}
