package org.ostendum.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.job.JobInput;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.Situations;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.job.SpecialJobs;
import org.ostendum.app.page.Wording;
import org.ostendum.app.people.People;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.safety.Incidents;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Tap;
import org.springframework.stereotype.Component;

/** The demo's jobs: two ended inspections, a first charge under way, a paused wash, a spill whose report waits. */
@Component
class DemoJobs {
    private final SiteProcedures procedures;
    private final Jobs jobs;
    private final JobRunning running;
    private final Situations situations;
    private final Batteries batteries;
    private final Packs packs;
    private final SpecialJobs specialJobs;
    private final People people;
    private final Incidents incidents;
    private final Wording wording;
    private final DemoClock clock;

    DemoJobs(
            SiteProcedures procedures,
            Jobs jobs,
            JobRunning running,
            Situations situations,
            Batteries batteries,
            Packs packs,
            SpecialJobs specialJobs,
            People people,
            Incidents incidents,
            Wording wording,
            DemoClock clock) {
        this.procedures = procedures;
        this.jobs = jobs;
        this.running = running;
        this.situations = situations;
        this.batteries = batteries;
        this.packs = packs;
        this.specialJobs = specialJobs;
        this.people = people;
        this.incidents = incidents;
        this.wording = wording;
        this.clock = clock;
    }

    /** A step and what was said at it. */
    private record At(Kind kind, String step, String value) {
        static At done(String step) {
            return new At(Kind.DONE, step, "");
        }

        static At done(String step, String value) {
            return new At(Kind.DONE, step, value);
        }
    }

    private static final At END = new At(Kind.FINISHED, "", "");

    void fill() {
        say(
                begin("inspect-daily", "T-13", "tom"),
                "tom",
                List.of(
                        At.done("parked"),
                        At.done("case", "sound"),
                        At.done("posts", "loose"),
                        At.done("cables", "sound"),
                        At.done("plug", "sound"),
                        At.done("held", "sound"),
                        At.done("colour", "clear"),
                        END));
        say(
                begin("inspect-daily", "T-03", "ines"),
                "ines",
                List.of(
                        At.done("parked"),
                        At.done("case", "dirty"),
                        At.done("posts", "sound"),
                        At.done("cables", "frayed"),
                        At.done("plug", "sound"),
                        At.done("held", "sound"),
                        At.done("colour", "clear"),
                        END));
        say(
                begin("wash", "T-08", "ines"),
                "ines",
                List.of(At.done("off"), At.done("soda"), new At(Kind.PAUSED, "", "")));
        spill();
        firstCharge();
        packApart();
    }

    /** More than a year: time to spare those blocks. */
    private static final Duration TAPPED_SINCE = Duration.ofDays(400);

    /** A car's pack with its links half off; its lights hang on two blocks. */
    private void packApart() {
        Battery car = batteries.byCode("G-08").orElseThrow();
        packs.addTap(car.id(), new Tap("Lights", 1, 2), clock.instant().minus(TAPPED_SINCE));
        long job = begin("pack-apart", car.code(), "tom");
        say(job, "tom", List.of(At.done("off"), At.done("unplug"), At.done("drawn", "same"), At.done("tools")));
        for (String found : List.of("sound", "green", "rotted")) {
            Step next = JobRunning.run(jobs.byId(job).orElseThrow(), jobs.events(job))
                    .current()
                    .orElseThrow();
            say(job, "tom", List.of(At.done(next.id(), found)));
        }
        say(job, "tom", List.of(new At(Kind.PAUSED, "", "")));
    }

    private void spill() {
        long job = begin("spill", null, "ines");
        say(
                job,
                "ines",
                List.of(
                        At.done("people", "none"),
                        At.done("size", "small"),
                        At.done("clear"),
                        At.done("kit"),
                        At.done("soda"),
                        new At(Kind.SKIPPED, "battery", "nothing leaks now, it was the filling jug"),
                        At.done("wipe"),
                        At.done("sign")));
        say(job, "oskar", List.of(At.done("inspected"), END));
        incidents.write(
                job,
                new Incidents.Report(
                        "The filling jug stood on the edge of stand B.",
                        "Floor neutralised and washed, jug thrown away.",
                        "Jugs hang on the wall; one litre only.",
                        null),
                person("ines").id());
    }

    /** When the newcomer's filling was begun, and with which step the charger went on. */
    static final Duration FILLED_BEFORE = Duration.ofHours(9);

    static final Duration CHARGED_BEFORE = FILLED_BEFORE.minusMinutes(70);

    /** Seven hours into the first charge of a new aircraft battery. */
    private void firstCharge() {
        Instant now = clock.instant();
        Instant begun = now.minus(FILLED_BEFORE);
        clock.moveTo(begun);
        long job = begin("commission-dry", "A-5", "priya");
        long priya = person("priya").id();
        int seq = 0;
        for (At at : List.of(
                At.done("acid", "1280"),
                At.done("fill"),
                new At(Kind.TIMER_STARTED, "rest", ""),
                At.done("rest"),
                At.done("rock"),
                At.done("warm", "24"),
                At.done("charger"),
                At.done("on"))) {
            clock.moveTo(begun.plus(Duration.ofMinutes(10L * seq)));
            jobs.keep(job, ++seq, event(at, priya));
        }
        for (int hour = 0; hour <= 7; hour++) {
            clock.moveTo(begun.plus(Duration.ofMinutes(85 + 60L * hour)));
            String row = Rows.charge(12.9 + hour * 0.28, 3.5, Celsius.of(24 + hour * 1.4), 1238 + hour * 5, hour == 1);
            jobs.keep(job, ++seq, event(new At(Kind.ROW, "rows", row), priya));
        }
        clock.moveTo(now);
    }

    private static Jobs.NewEvent event(At at, long personId) {
        return new Jobs.NewEvent(UUID.randomUUID().toString(), personId, at.kind(), at.step(), at.value());
    }

    private long begin(String procedureId, @Nullable String code, String login) {
        @Nullable Battery battery = code == null ? null : batteries.byCode(code).orElseThrow();
        Procedure procedure = procedures.find(procedureId).orElseThrow();
        ProcedureFile plain =
                situations.asRunOn(battery, procedures.file(procedureId).orElseThrow());
        ProcedureFile file = battery == null
                ? plain
                : specialJobs
                        .of(procedureId)
                        .written(plain, new SpecialJob.Begun(procedureId, battery, null, person(login), School.LEAST));
        return jobs.begin(new Jobs.NewJob(
                        procedureId,
                        procedure.version(),
                        file.json(),
                        situations.roomOf(battery),
                        battery == null ? null : battery.id(),
                        null,
                        person(login).id()))
                .orElseThrow();
    }

    private void say(long job, String login, List<At> what) {
        Person person = person(login);
        for (At at : what) {
            JobInput said =
                    new JobInput(UUID.randomUUID().toString(), at.kind(), at.step(), Map.of("value", at.value()));
            running.take(job, said, person, wording.of(person));
        }
    }

    private Person person(String login) {
        return people.byLogin(login).orElseThrow();
    }
}
