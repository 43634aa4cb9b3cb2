package org.ostendum.app.job.begin;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.JobViews;
import org.ostendum.app.job.Situations;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Situation;
import org.springframework.stereotype.Component;

/** Asks the gates of a job with the machine and the charger that somebody has chosen for it. */
@Component
class JobsToBegin {
    private final Machines machines;
    private final JobViews views;
    private final Beginning beginning;
    private final Situations situations;
    private final ChargerChoice chargers;

    JobsToBegin(Machines machines, JobViews views, Beginning beginning, Situations situations, ChargerChoice chargers) {
        this.machines = machines;
        this.views = views;
        this.beginning = beginning;
        this.situations = situations;
        this.chargers = chargers;
    }

    /** @throws NotFound where such a job cannot be done to the battery at all */
    JobToBegin of(Procedure procedure, @Nullable Battery battery, BeginForm form, Person person, Words words) {
        expectFits(procedure, battery);
        @Nullable
        Machine into = form.machine().isEmpty()
                ? null
                : machines.byCode(form.machine()).orElse(null);
        @Nullable Choice choice = chargers.of(procedure, battery, form.charger(), form.kind());
        Situation situation = situations.of(procedure.training(), battery, into, person);
        if (choice != null && choice.chosen() != null) {
            situation = situation.on(choice.misfits());
        }
        return new JobToBegin(
                procedure, battery, form, into, choice, situation, views.gates(procedure, situation, words));
    }

    /** No page leads to a battery's job without a battery, or to one of another kind; what was typed by hand is not there. */
    void expectFits(Procedure procedure, @Nullable Battery battery) {
        if (!beginning.suits(procedure, battery)
                || !procedure.canBeDoneTo(
                        battery == null ? null : battery.type().model().duty())) {
            throw new NotFound("job " + procedure.id() + (battery == null ? " of the room" : " for " + battery.code()));
        }
    }
}
