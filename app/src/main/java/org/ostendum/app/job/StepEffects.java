package org.ostendum.app.job;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.Charges;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StepEffect;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.safety.StationCheck;
import org.springframework.stereotype.Component;

/** What settling a step means for the battery at once. */
@Component
class StepEffects {
    private final Charges charges;
    private final BatteryRecord batteryRecord;
    private final Stations stations;
    private final SpecialJobs specialJobs;
    private final Clock clock;

    StepEffects(Charges charges, BatteryRecord batteryRecord, Stations stations, SpecialJobs specialJobs, Clock clock) {
        this.charges = charges;
        this.batteryRecord = batteryRecord;
        this.stations = stations;
        this.specialJobs = specialJobs;
        this.clock = clock;
    }

    /** Needs the transaction in which the step is settled. */
    void of(Job job, Run run, Step step, String value, @Nullable Battery battery, Person person) {
        StepEffect effect = step.effect();
        if (effect == null || stops(step, value)) {
            return;
        }
        if (effect == StepEffect.KIT_USED) {
            useKit(job, person);
        } else if (battery != null) {
            of(effect, job, run, value, battery, person);
        }
    }

    /** Whatever is left in it, nobody relies on it before it was looked through. */
    private void useKit(Job job, Person person) {
        stations.of(job.roomId()).stream()
                .filter(station -> station.state().check() == StationCheck.SPILL_KIT)
                .forEach(kit -> stations.check(kit.id(), false, "used, job " + job.id(), person.id()));
    }

    private void of(StepEffect effect, Job job, Run run, String value, Battery battery, Person person) {
        Instant at = clock.instant();
        switch (effect) {
            case CHARGE_BEGUN -> {
                // First the run on its charger, so that the line does not begin another one.
                ChargeKind kind = kind(job, run);
                charges.begin(battery, job.chargerId(), kind);
                write(job, new BatteryEvent.ChargeStarted(at, kind, job.charger()), battery, person);
            }
            case EQUALISE_ENDED -> {
                charges.end(battery);
                write(job, new BatteryEvent.Equalised(at, hours(run)), battery, person);
            }
            case COVERED ->
                write(
                        job,
                        new BatteryEvent.Watered(at, millilitres(value), null, BatteryEvent.Fill.COVERED),
                        battery,
                        person);
            case EXCHANGED -> specialJobs.of(job.procedureId()).done(job, run, battery, person);
            case KIT_USED -> throw new IllegalArgumentException("It is the room's");
        }
    }

    /** As many as the job has measured before; null where that was left out. */
    private static @Nullable Duration hours(Run run) {
        return run.procedure().steps().stream()
                .filter(step -> step.task() instanceof Task.Measure measure
                        && measure.unit().equals("h"))
                .map(step -> run.value(step.id()))
                .filter(value -> !value.isEmpty())
                .findFirst()
                .map(value -> Duration.ofSeconds(Math.round(number(value) * 3600)))
                .orElse(null);
    }

    private static @Nullable Millilitres millilitres(String value) {
        return value.isEmpty() ? null : Millilitres.of(number(value));
    }

    private static double number(String value) {
        return Double.parseDouble(value.replace(',', '.'));
    }

    private static boolean stops(Step step, String value) {
        return step.task() instanceof Task.Choose choose
                && choose.answer(value).map(Task.Answer::stop).isPresent();
    }

    /** As it was chosen when the job was begun; the charge of a commissioning is the battery's first. */
    private static ChargeKind kind(Job job, Run run) {
        if (job.chargeKind() != null) {
            return job.chargeKind();
        }
        Procedure.Records records = run.procedure().records();
        boolean first = records != null && records.happening() == Procedure.Happening.COMMISSIONED;
        return first ? ChargeKind.INITIAL : ChargeKind.CONVENTIONAL;
    }

    private void write(Job job, BatteryEvent event, Battery battery, Person person) {
        NewEntry line = LedgerEvents.entry(event, person.id(), "");
        LedgerPayload within = new LedgerPayload.OfJob(job.id(), job.procedureId());
        batteryRecord.record(battery, List.of(line.with(within)));
    }
}
