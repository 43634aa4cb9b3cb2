package org.ostendum.web.job;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.ChargeKind;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StepEffect;
import org.ostendum.core.procedure.Task;
import org.ostendum.web.charging.Charges;
import org.ostendum.web.judgement.Logbook;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.Job;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Payload;
import org.ostendum.web.store.Person;
import org.springframework.stereotype.Component;

/** What settling a step means for the battery at once. */
@Component
class StepEffects {
    private final Charges charges;
    private final Logbook logbook;
    private final Clock clock;

    StepEffects(Charges charges, Logbook logbook, Clock clock) {
        this.charges = charges;
        this.logbook = logbook;
        this.clock = clock;
    }

    /** Needs the transaction in which the step is settled. */
    void of(Job job, Step step, String value, Battery battery, Person person) {
        StepEffect effect = step.effect();
        if (effect == null || stops(step, value)) {
            return;
        }
        switch (effect) {
            case CURRENT_ON -> charges.begin(battery, job.chargerId(), kind(job));
            case CURRENT_OFF -> charges.end(battery);
            case CHARGE_BEGUN -> {
                write(job, EntryKind.CHARGE_START, null, battery, person);
                charges.begin(battery, job.chargerId(), kind(job));
            }
            case WATERED -> write(job, EntryKind.WATER, value, battery, person);
        }
    }

    private static boolean stops(Step step, String value) {
        return step.task() instanceof Task.Choose choose
                && choose.answer(value).map(Task.Answer::stop).isPresent();
    }

    private static ChargeKind kind(Job job) {
        return job.chargeKind() == null ? ChargeKind.CONVENTIONAL : job.chargeKind();
    }

    private void write(Job job, EntryKind kind, @Nullable String quantity, Battery battery, Person person) {
        String payload = Payload.object()
                .put("job", job.id())
                .put("procedure", job.procedureId())
                .toString();
        logbook.write(
                battery,
                List.of(new NewEntry(
                        kind,
                        clock.instant(),
                        person.id(),
                        null,
                        quantity == null || quantity.isEmpty() ? null : new BigDecimal(quantity.replace(',', '.')),
                        null,
                        payload)));
    }
}
