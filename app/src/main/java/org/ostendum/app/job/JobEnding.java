package org.ostendum.app.job;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure.Happening;
import org.ostendum.core.procedure.Procedure.Records;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.voltage.TopLeak;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What the end of a job leaves behind: one line in the ledger, and what was found wrong as something to be put right. */
@Component
class JobEnding {
    private final Jobs jobs;
    private final Defects defects;
    private final BatteryRecord batteryRecord;
    private final BatteryStates batteryStates;
    private final Batteries batteries;
    private final SpecialJobs specialJobs;
    private final Clock clock;

    JobEnding(
            Jobs jobs,
            Defects defects,
            BatteryRecord batteryRecord,
            BatteryStates batteryStates,
            Batteries batteries,
            SpecialJobs specialJobs,
            Clock clock) {
        this.jobs = jobs;
        this.defects = defects;
        this.batteryRecord = batteryRecord;
        this.batteryStates = batteryStates;
        this.batteries = batteries;
        this.specialJobs = specialJobs;
        this.clock = clock;
    }

    /** Needs the transaction in which the job's last event is kept. */
    void end(Job job, Run run, @Nullable Battery battery, Person person) {
        if (battery == null) {
            jobs.end(job.id(), null);
            return;
        }
        Instant now = clock.instant();
        List<BatteryEvent> besides = new ArrayList<>();
        if (run.stopped().isEmpty()) {
            besides.addAll(putRight(run, battery, person));
        }
        for (DefectKind kind : found(run, battery)) {
            defects.open(battery, kind, run.procedure().title(), job.id(), person.id())
                    .filter(Defects.Found::ofBattery)
                    .ifPresent(found -> besides.add(found.event()));
        }
        List<NewEntry> lines = lines(job, run, battery, person, now);
        if (run.stopped().isEmpty()) {
            move(job, run, battery);
        }
        long line = batteryRecord.record(battery, lines, besides).get(0);
        jobs.end(job.id(), line);
    }

    /** What this job is there to put right is right now. */
    private List<BatteryEvent> putRight(Run run, Battery battery, Person person) {
        List<BatteryEvent> righted = new ArrayList<>();
        defects.openOf(battery.id(), null).stream()
                .filter(d -> d.kind().fixedBy().contains(run.procedure().id()))
                .forEach(d -> defects.putRight(d.id(), run.procedure().title(), person.id())
                        .ifPresent(righted::add));
        return righted;
    }

    /** One battery goes into one machine, in the same transaction as the line that tells it. */
    private void move(Job job, Run run, Battery battery) {
        Records records = run.procedure().records();
        if (records != null && records.happening() == Happening.MOVED && job.machineId() != null) {
            batteries.place(battery.id(), null, job.machineId());
        }
    }

    /** The line of the job, and one for what its end means besides. */
    private List<NewEntry> lines(Job job, Run run, Battery battery, Person person, Instant now) {
        List<BatteryEvent> events = JobEvents.of(job, run, batteryStates.stateOf(battery), now);
        String payload = payload(job, run, battery);
        List<NewEntry> lines = new ArrayList<>();
        for (BatteryEvent event : events) {
            NewEntry line = LedgerEvents.entry(event, person.id(), "");
            lines.add(lines.isEmpty() ? line.with(joined(line.payload(), payload)) : line);
        }
        return lines.isEmpty()
                ? List.of(new NewEntry(EntryKind.JOB, now, person.id(), null, null, null, payload))
                : lines;
    }

    private static String joined(String first, String second) {
        ObjectNode both = (ObjectNode) Payload.read(first);
        both.setAll((ObjectNode) Payload.read(second));
        return both.toString();
    }

    private List<DefectKind> found(Run run, Battery battery) {
        List<DefectKind> found = run.defects();
        if (!TopLeak.leaks(Rows.leaks(run), batteryStates.rulesFor(battery)).isEmpty()) {
            found.add(DefectKind.DIRTY_TOP);
        }
        return found;
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
        if (run.stopped().isEmpty()) {
            specialJobs.of(job.procedureId()).cost(run, battery).ifPresent(cost -> payload.put("cost", cost));
        }
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
