package org.ostendum.demo;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.incident.Incident;
import org.ostendum.app.incident.Incidents;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machines;
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
import org.ostendum.app.state.Rounds;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.safety.IncidentKind;
import org.ostendum.core.wiring.School;

/** The demo's jobs: inspections ended, a first charge, a wash, a pack, a repair and a change under way, a spill whose report waits. */
class DemoJobs {
    private final SiteProcedures procedures;
    private final Jobs jobs;
    private final JobRunning running;
    private final Situations situations;
    private final Batteries batteries;
    private final Machines machines;
    private final Rounds rounds;
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
            Machines machines,
            Rounds rounds,
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
        this.machines = machines;
        this.rounds = rounds;
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

    private static final String FETCHED = "T-12";
    private static final String WAITING = "F3";

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
        permitOpen();
        truckWaiting();
        packWoken();
    }

    /** A car that stood flat is lifted group by group with a small charger. */
    private void packWoken() {
        say(
                begin("recover", DemoFlatCar.BATTERY, "ines"),
                "ines",
                List.of(At.done("volts", "26.4"), At.done("whole", "whole"), At.done("way", "groups")));
    }

    /** Cell 14 of T-11 is measured again and marked; the permit for it is signed, the drill lies ready. */
    private void permitOpen() {
        long job = begin("cell-repair", "T-11", "tom");
        say(
                job,
                "tom",
                List.of(At.done("cell", "14"), At.done("marked"), At.done("gravity-again", lastOf("T-11", 14))));
        say(job, "tom", List.of(At.done("volts-again", "1.98"), At.done("off"), At.done("gas", "2"), At.done("ready")));
        say(job, "maud", List.of(At.done("permit")));
    }

    private String lastOf(String code, int cell) {
        return rounds.history(batteries.byCode(code).orElseThrow().id(), 5).stream()
                .flatMap(round -> round.past().round().reading(cell).stream())
                .flatMap(reading -> Stream.ofNullable(reading.gravity()))
                .reduce((older, newer) -> newer)
                .map(gravity -> String.valueOf(gravity.points()))
                .orElseThrow();
    }

    /** A truck came in empty: its next battery is being fetched. */
    private void truckWaiting() {
        long job = begin("change-battery", FETCHED, WAITING, "tom");
        say(job, "tom", List.of(At.done("truck")));
    }

    /** A car's pack with its links half off; its lights hang on two blocks. */
    private void packApart() {
        Battery car = batteries.byCode("G-08").orElseThrow();
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

    private static final Duration SPLASHED_BEFORE = Duration.ofDays(140);

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
        incidents.add(
                job,
                null,
                new Incident.Course(
                        IncidentKind.SPILL,
                        clock.instant(),
                        "Stand B, in front of place 4",
                        null,
                        null,
                        new BigDecimal("1.5"),
                        0,
                        "The filling jug was knocked off the edge of stand B.",
                        ""),
                new Incident.Lesson(
                        "The jug stood on the edge, and it was a two-litre one.",
                        "Floor neutralised and washed, jug thrown away.",
                        "Jugs hang on the wall; one litre only.",
                        null),
                person("ines").id());
        splashLongAgo();
    }

    /** One of last spring, which a lead has closed. */
    private void splashLongAgo() {
        long id = incidents.add(
                null,
                null,
                new Incident.Course(
                        IncidentKind.ACID_ON_PERSON,
                        clock.instant().minus(SPLASHED_BEFORE),
                        "Beside charger 3",
                        null,
                        null,
                        null,
                        1,
                        "A drop sprang from the hydrometer into an eye, while the face shield hung on its hook.",
                        "Fifteen minutes at the eyewash, then to the eye clinic. Back at work the next day."),
                new Incident.Lesson(
                        "The float stuck and was shaken free over the cell.",
                        "Hydrometer cleaned and kept upright.",
                        "No hydrometer without the face shield, also for one cell.",
                        null),
                person("tom").id());
        incidents.close(id, 0, "Read out at the shift’s start.", person("maud").id());
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
        return begin(procedureId, code, null, login);
    }

    private long begin(String procedureId, @Nullable String code, @Nullable String machine, String login) {
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
                        machine == null
                                ? null
                                : machines.byCode(machine).orElseThrow().id(),
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
