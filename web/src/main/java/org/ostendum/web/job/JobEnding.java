package org.ostendum.web.job;

import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.procedure.DefectKind;
import org.ostendum.core.procedure.Procedure.Records;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.voltage.TopLeak;
import org.ostendum.web.charging.Charges;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.judgement.Logbook;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.Defects;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.Job;
import org.ostendum.web.store.JobEvent;
import org.ostendum.web.store.Jobs;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Payload;
import org.ostendum.web.store.Person;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What the end of a job leaves behind: one line in the ledger, and what was found wrong as something to be put right. */
@Component
class JobEnding {
    private final Jobs jobs;
    private final Defects defects;
    private final Logbook logbook;
    private final Bench bench;
    private final Charges charges;
    private final Clock clock;

    JobEnding(Jobs jobs, Defects defects, Logbook logbook, Bench bench, Charges charges, Clock clock) {
        this.jobs = jobs;
        this.defects = defects;
        this.logbook = logbook;
        this.bench = bench;
        this.charges = charges;
        this.clock = clock;
    }

    /** Needs the transaction in which the job's last event is kept. */
    void end(Job job, Run run, @Nullable Battery battery, Person person) {
        if (battery == null) {
            jobs.end(job.id(), null);
            return;
        }
        if (run.stopped().isEmpty()) {
            putRight(run, battery, person);
        } else if (job.chargeKind() != null) {
            // Whatever stopped it, the charger is off.
            charges.end(battery);
        }
        for (DefectKind kind : found(run, battery)) {
            boolean ofBattery = kind.isOfBattery() || battery.machineId() == null;
            defects.open(
                    ofBattery ? battery.id() : null,
                    ofBattery ? null : battery.machineId(),
                    kind,
                    run.procedure().title(),
                    job.id(),
                    person.id());
        }
        long line = logbook.write(battery, List.of(entry(job, run, battery, person)))
                .get(0);
        jobs.end(job.id(), line);
    }

    /** What this job is there to put right is right now. */
    private void putRight(Run run, Battery battery, Person person) {
        defects.openOf(battery.id(), null).stream()
                .filter(d -> run.procedure().id().equals(d.kind().fixedBy()))
                .forEach(d -> defects.putRight(d.id(), run.procedure().title(), person.id()));
    }

    private List<DefectKind> found(Run run, Battery battery) {
        List<DefectKind> found = run.defects();
        if (!TopLeak.leaks(Rows.leaks(run), bench.rulesFor(battery)).isEmpty()) {
            found.add(DefectKind.DIRTY_TOP);
        }
        return found;
    }

    /** A job that was stopped did not do what it was begun for. */
    private NewEntry entry(Job job, Run run, Battery battery, Person person) {
        Records records = run.stopped().isPresent() ? null : run.procedure().records();
        EntryKind kind = records == null
                ? EntryKind.JOB
                : EntryKind.valueOf(records.happening().name());
        return new NewEntry(
                kind,
                clock.instant(),
                person.id(),
                null,
                records == null ? null : quantity(run, records),
                null,
                payload(job, run, battery));
    }

    private static @Nullable BigDecimal quantity(Run run, Records records) {
        String value = records.quantityFrom() == null ? "" : run.value(records.quantityFrom());
        return value.isEmpty() ? null : new BigDecimal(value.replace(',', '.'));
    }

    private String payload(Job job, Run run, Battery battery) {
        ObjectNode payload = Payload.object()
                .put("job", job.id())
                .put("procedure", run.procedure().id())
                .put("version", run.procedure().version())
                .put("title", run.procedure().title());
        if (job.machine() != null) {
            payload.put("machine", job.machine());
        }
        if (job.charger() != null) {
            payload.put("charger", job.charger());
        }
        if (job.chargeKind() != null) {
            payload.put("charge", job.chargeKind().name());
        }
        run.stopped().ifPresent(stop -> payload.put("stopped", stop.text()));
        ArrayNode steps = payload.putArray("steps");
        for (Step step : run.way()) {
            run.settled(step.id()).ifPresent(event -> step(steps.addObject(), step, event));
        }
        List<JobEvent> events = jobs.events(job.id());
        ArrayNode rows = payload.putArray("rows");
        run.rows().forEach(row -> rows.add(Payload.read(row.value())));
        ArrayNode overridden = payload.putArray("overridden");
        events.stream()
                .map(JobEvent::event)
                .filter(e -> e.kind() == Kind.GATE_OVERRIDDEN)
                .forEach(e -> overridden
                        .addObject()
                        .put("gate", e.about())
                        .put("reason", e.value())
                        .put("by", e.person()));
        ArrayNode found = payload.putArray("found");
        found(run, battery).forEach(kind -> found.add(kind.name()));
        return payload.toString();
    }

    private static void step(ObjectNode node, Step step, RunEvent event) {
        node.put("id", step.id())
                .put("text", step.text())
                .put("how", event.kind().name())
                .put("value", event.value())
                .put("by", event.person())
                .put("at", event.at().toString());
    }
}
