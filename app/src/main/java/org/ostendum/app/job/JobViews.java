package org.ostendum.app.job;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.commission.ChargeRow;
import org.ostendum.core.commission.InitialCharge;
import org.ostendum.core.commission.InitialChargePlan;
import org.ostendum.core.equalise.EqualiseEnd;
import org.ostendum.core.judge.Message;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.GateOutcome;
import org.ostendum.core.procedure.Gates;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StepSum;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.procedure.Timer;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.voltage.TopLeak;
import org.ostendum.core.wiring.PackVolts;
import org.springframework.stereotype.Service;

/** Puts together what a job's page shows. */
@Service
public class JobViews {
    private static final double DRAWN_WIDTH = 780;
    private static final double DRAWN_HEIGHT = 300;

    private static final int STEPS_IN_SIGHT = 2;

    private final Jobs jobs;
    private final JobRunning running;
    private final Batteries batteries;
    private final Packs packs;
    private final SpecialJobs specialJobs;
    private final Photos photos;
    private final Situations situations;
    private final BatteryStates batteryStates;

    JobViews(
            Jobs jobs,
            JobRunning running,
            Batteries batteries,
            Packs packs,
            SpecialJobs specialJobs,
            Photos photos,
            Situations situations,
            BatteryStates batteryStates) {
        this.jobs = jobs;
        this.running = running;
        this.batteries = batteries;
        this.packs = packs;
        this.specialJobs = specialJobs;
        this.photos = photos;
        this.situations = situations;
        this.batteryStates = batteryStates;
    }

    /**
     * A step on the way.
     *
     * @param said what was settled there, in words; null while it is not
     */
    public record WayStep(Step step, @Nullable String said, @Nullable String by, boolean skipped) {}

    /** What the core makes of an initial charge's rows. */
    public record ChargeView(InitialChargePlan plan, InitialCharge.State state, List<ChargeRow> rows) {}

    /**
     * An equalising charge so far.
     *
     * @param wanted readings that must still come out no higher
     * @param nextFrom from when on another reading counts; null before the first
     * @param stopsAt temperature at which it is stopped
     */
    public record EqualiseView(List<EqualiseEnd.Hourly> rows, int wanted, @Nullable Instant nextFrom, Celsius stopsAt) {
        public boolean isTooHot() {
            return !rows.isEmpty() && rows.get(rows.size() - 1).temperature().compareTo(stopsAt) >= 0;
        }
    }

    /** Voltages on the lid, on the drawing. */
    public record LeakView(
            BatteryDrawing drawing, Map<Integer, String> byCell, List<TopLeak.Place> leaks, String limit) {}

    /**
     * What a job's page shows.
     *
     * @param seq of the last event the page knows
     * @param ahead steps after the current one, as far as nobody has answered otherwise
     */
    public record JobView(
            Job job,
            Run run,
            int seq,
            List<WayStep> way,
            @Nullable Step current,
            List<Step> ahead,
            @Nullable Timer timer,
            boolean over,
            RowsSoFar rows,
            List<RunEvent> overridden,
            List<Photos.PhotoName> pictures,
            List<Person> colleagues,
            boolean trained,
            AtHand atHand) {
        public Procedure procedure() {
            return run.procedure();
        }

        /** How many of the steps behind stay in sight; none where a drawing stands beside them. */
        public int lately() {
            return atHand.beside() == null ? STEPS_IN_SIGHT : 0;
        }
    }

    /** What the core makes of the current step's rows; null each for a step of another kind. */
    public record RowsSoFar(
            @Nullable ChargeView charge,
            @Nullable EqualiseView equalise,
            @Nullable LeakView leak,
            @Nullable BlockVoltsView blocks) {}

    /**
     * What is known before anybody types.
     *
     * @param torque of the posts, N·m; null where the sheet says nothing
     * @param reckoned what stands in the field of the current step: the hours that current has flowed
     * @param sums what the current step works out by itself, a line each
     * @param beside what is drawn beside the steps; null for nothing
     */
    public record AtHand(
            @Nullable Double torque, String reckoned, List<Message> sums, SpecialJob.@Nullable Beside beside) {}

    /** Volts of a pack's blocks and its string. */
    public record BlockVoltsView(PackVolts volts, List<Message> faults) {}

    JobView view(Job job, Person person, Words words) {
        List<JobEvent> events = jobs.events(job.id());
        Run run = JobRunning.run(job, events, words);
        @Nullable Step current = run.current().orElse(null);
        @Nullable
        Battery battery =
                job.batteryId() == null ? null : batteries.byId(job.batteryId()).orElse(null);
        @Nullable Timer timer = current == null ? null : run.timer(current).orElse(null);
        Instant now = batteryStates.instant();
        return new JobView(
                job,
                run,
                events.isEmpty() ? 0 : events.get(events.size() - 1).seq(),
                way(run, words),
                current,
                ahead(run, current),
                timer,
                timer != null && timer.isOver(now),
                rows(run, current, battery),
                events.stream()
                        .map(JobEvent::event)
                        .filter(e -> e.kind() == RunEvent.Kind.GATE_OVERRIDDEN)
                        .toList(),
                photos.of(new Photos.Of(Photos.Subject.JOB, job.id())),
                running.colleagues(person),
                running.isTrained(run, person),
                new AtHand(
                        torque(battery),
                        reckoned(run, current, now),
                        sums(run, current, battery),
                        battery == null
                                ? null
                                : specialJobs
                                        .of(job.procedureId())
                                        .beside(job, run, battery)
                                        .orElse(null)));
    }

    private RowsSoFar rows(Run run, @Nullable Step current, @Nullable Battery battery) {
        if (battery == null) {
            return new RowsSoFar(null, null, null, null);
        }
        return new RowsSoFar(
                isRows(current, Task.Rows.Kind.INITIAL_CHARGE) ? charge(run, battery) : null,
                isRows(current, Task.Rows.Kind.EQUALISE) ? equalise(run, battery) : null,
                isRows(current, Task.Rows.Kind.TOP_LEAK) ? leak(run, battery) : null,
                isRows(current, Task.Rows.Kind.BLOCK_VOLTS) ? blockVolts(run, battery) : null);
    }

    private static @Nullable Double torque(@Nullable Battery battery) {
        int tenths = battery == null ? 0 : battery.type().torqueTenths();
        return tenths == 0 ? null : (Double) (tenths / 10.0);
    }

    private List<Message> sums(Run run, @Nullable Step current, @Nullable Battery battery) {
        @Nullable StepSum sum = current == null ? null : current.sum();
        if (sum == null) {
            return List.of();
        }
        return battery == null ? sum.ofRoom() : sum.of(run, batteryStates.stateOf(battery));
    }

    private static String reckoned(Run run, @Nullable Step current, Instant now) {
        return current != null
                        && current.task() instanceof Task.Measure measure
                        && measure.unit().equals("h")
                ? run.currentSince()
                        .map(since -> hours(Duration.between(since, now)))
                        .orElse("")
                : "";
    }

    private static String hours(Duration time) {
        return BigDecimal.valueOf(time.toMinutes())
                .divide(BigDecimal.valueOf(60), 1, RoundingMode.HALF_UP)
                .toPlainString();
    }

    private static boolean isRows(@Nullable Step step, Task.Rows.Kind kind) {
        return step != null && step.task() instanceof Task.Rows rows && rows.kind() == kind;
    }

    private static List<WayStep> way(Run run, Words words) {
        List<WayStep> way = new ArrayList<>();
        for (Step step : run.way()) {
            run.settled(step.id())
                    .ifPresent(event -> way.add(new WayStep(
                            step, said(step, event, words), event.person(), event.kind() == RunEvent.Kind.SKIPPED)));
        }
        return way;
    }

    private static String said(Step step, RunEvent event, Words words) {
        if (event.kind() == RunEvent.Kind.SKIPPED) {
            return words.text("job.said.skipped", event.value());
        }
        Task task = step.task();
        if (task instanceof Task.Choose choose) {
            return choose.answer(event.value()).map(Task.Answer::text).orElse(event.value());
        } else if (task instanceof Task.Measure measure) {
            return event.value() + " " + words.phrase(measure.unit());
        } else if (task instanceof Task.Write) {
            return event.value();
        } else if (task instanceof Task.Hold hold) {
            return hold.confirm();
        }
        return words.text("job.said.done");
    }

    private static List<Step> ahead(Run run, @Nullable Step current) {
        List<Step> steps = run.procedure().steps();
        return current == null ? List.of() : steps.subList(steps.indexOf(current) + 1, steps.size());
    }

    private ChargeView charge(Run run, Battery battery) {
        Rules rules = batteryStates.rulesFor(battery);
        InitialChargePlan plan = InitialChargePlan.of(battery.type().model(), rules);
        List<ChargeRow> rows = Rows.charge(run, rules.temperatureCorrection());
        return new ChargeView(plan, InitialCharge.of(plan, rows, Rows.levelSet(run)), rows);
    }

    private EqualiseView equalise(Run run, Battery battery) {
        Rules rules = batteryStates.rulesFor(battery);
        List<EqualiseEnd.Hourly> rows = Rows.equalise(run, rules.temperatureCorrection());
        return new EqualiseView(
                rows,
                EqualiseEnd.stillWanted(rows),
                EqualiseEnd.nextFrom(rows).orElse(null),
                rules.celsius(RuleKey.chargeStop(battery.type().model().duty())));
    }

    private @Nullable BlockVoltsView blockVolts(Run run, Battery battery) {
        return packs.of(battery)
                .map(pack -> Rows.packVolts(run, pack))
                .map(volts -> new BlockVoltsView(volts, volts.faults()))
                .orElse(null);
    }

    private LeakView leak(Run run, Battery battery) {
        Rules rules = batteryStates.rulesFor(battery);
        List<TopLeak.Place> places = Rows.leaks(run);
        Map<Integer, String> byCell = new HashMap<>();
        places.forEach(p -> byCell.put(p.cell(), volts(p.volts().millivolts())));
        return new LeakView(
                BatteryPlotter.plot(battery.layout(), battery.type().cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT),
                byCell,
                TopLeak.leaks(places, rules),
                volts(rules.volts(RuleKey.TOP_LEAK).millivolts()));
    }

    private static String volts(int millivolts) {
        return String.format(Locale.ROOT, "%.2f V", millivolts / 1000.0);
    }

    /** What the gates of a procedure say of a battery, or of the room, to this person. */
    public List<GateLine> gates(
            Procedure procedure, @Nullable Battery battery, @Nullable Machine machine, Person person, Words words) {
        return gates(procedure, situations.of(procedure.training(), battery, machine, person), words);
    }

    /** The same of a situation already at hand, which many procedures can be asked of. */
    public List<GateLine> gates(Procedure procedure, Situation situation, Words words) {
        Map<GateKey, GateOutcome> outcomes = Gates.ask(procedure, situation);
        return outcomes.entrySet().stream()
                .map(e -> GateLine.of(e.getKey(), e.getValue(), words))
                .toList();
    }
}
