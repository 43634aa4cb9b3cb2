package org.ostendum.app.job;

import java.math.BigDecimal;
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
import org.ostendum.app.ledger.LedgerPayload;
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
import org.ostendum.core.procedure.StopCondition;
import org.ostendum.core.voltage.TopLeak;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

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
        LedgerPayload[] kept = kept(job, run, battery);
        List<NewEntry> lines = new ArrayList<>();
        for (BatteryEvent event : events) {
            NewEntry line = LedgerEvents.entry(event, person.id(), "");
            lines.add(lines.isEmpty() ? line.with(kept) : line);
        }
        return lines.isEmpty() ? List.of(NewEntry.keeping(EntryKind.JOB, now, person.id(), kept)) : lines;
    }

    private List<DefectKind> found(Run run, Battery battery) {
        List<DefectKind> found = run.defects();
        if (!TopLeak.leaks(Rows.leaks(run), batteryStates.rulesFor(battery)).isEmpty()) {
            found.add(DefectKind.DIRTY_TOP);
        }
        return found;
    }

    private LedgerPayload[] kept(Job job, Run run, Battery battery) {
        return new LedgerPayload[] {
            new LedgerPayload.OfJob(job.id(), run.procedure().id()),
            done(job, run, battery),
            new LedgerPayload.JobEquipment(job.machine(), job.charger(), job.chargeKind()),
            new LedgerPayload.JobCourse(steps(run), rows(run), overridden(job))
        };
    }

    private LedgerPayload done(Job job, Run run, Battery battery) {
        @Nullable
        BigDecimal cost = run.stopped().isPresent()
                ? null
                : specialJobs.of(job.procedureId()).cost(run, battery).orElse(null);
        return new LedgerPayload.JobDone(
                run.procedure().version(),
                run.procedure().title(),
                run.stopped().map(StopCondition::text).orElse(null),
                cost,
                found(run, battery));
    }

    private static List<LedgerPayload.StepDone> steps(Run run) {
        return run.way().stream()
                .flatMap(step -> run.settled(step.id()).map(event -> step(step, event)).stream())
                .toList();
    }

    private static LedgerPayload.StepDone step(Step step, RunEvent event) {
        return new LedgerPayload.StepDone(
                step.id(), step.text(), event.kind(), event.value(), event.person(), event.at());
    }

    private static List<JsonNode> rows(Run run) {
        return run.rows().stream().map(row -> Payload.read(row.value())).toList();
    }

    private List<LedgerPayload.Overridden> overridden(Job job) {
        return jobs.events(job.id()).stream()
                .map(JobEvent::event)
                .filter(event -> event.kind() == Kind.GATE_OVERRIDDEN)
                .map(event -> new LedgerPayload.Overridden(event.about(), event.value(), event.person()))
                .toList();
    }
}
