package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.procedure.Run.Status;
import org.ostendum.core.procedure.RunEvent.Kind;
import org.ostendum.core.procedure.Task.Answer;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.safety.Training;

class RunTest {
    private static final Instant START = Instant.parse("2026-06-01T08:00:00Z");

    private static final StopCondition HOT =
            new StopCondition("hot", "It is hot.", List.of("Charger off."), null, null);
    private static final StopCondition CRACKED = new StopCondition(
            "cracked", "The case is cracked.", List.of("Set it aside."), "spill", DefectKind.DAMAGED_CASE);

    private static final Procedure PROCEDURE = procedure(List.of(
            step("off", new Task.Hold("The charger is off")),
            step(
                    "case",
                    new Task.Choose(List.of(
                            new Answer("sound", "Sound", null, null, null),
                            new Answer("dirty", "Dirty", "wash", null, DefectKind.DIRTY_TOP),
                            new Answer("cracked", "Cracked", null, "cracked", null)))),
            step("warmth", new Task.Measure("°C", -20, 80, 46.0, "hot")),
            step("wash", new Task.Act()),
            step("rest", new Task.Wait(Duration.ofHours(1))),
            step("note", new Task.Write())));

    private static Procedure procedure(List<Step> steps) {
        return procedure(steps, Set.of());
    }

    private static Procedure procedureFor(Set<Duty> duties) {
        return procedure(List.of(step("wash", new Task.Act())), duties);
    }

    private static Procedure procedure(List<Step> steps, Set<Duty> duties) {
        return new Procedure(
                "p",
                1,
                "Title",
                "Purpose",
                new Procedure.Scope(Procedure.Subject.BATTERY, duties),
                new Procedure.Precautions(Training.BATTERY_CARE, Set.of(), Set.of(), List.of()),
                steps,
                List.of(HOT, CRACKED),
                new Procedure.Conduct(null, false, false, false),
                new Procedure.Sources(List.of("inspect.case"), List.of("The maker’s manual")));
    }

    private static Step step(String id, Task task) {
        return new Step(id, "Do " + id, null, null, task, false, true, null, null, null, null);
    }

    private final List<RunEvent> events = new ArrayList<>();

    private Run after(Kind kind, String about, String value) {
        events.add(new RunEvent(START.plusSeconds(events.size()), "Tom", kind, about, value));
        return Run.of(PROCEDURE, "Tom", events);
    }

    private Run done(String step, String value) {
        return after(Kind.DONE, step, value);
    }

    private static String current(Run run) {
        return run.current().map(Step::id).orElse("none");
    }

    @Test
    void stepsFollowEachOtherAndAnAnswerLeadsOn() {
        assertThat(current(Run.of(PROCEDURE, "Tom", List.of()))).isEqualTo("off");
        assertThat(current(done("off", ""))).isEqualTo("case");
        Run dirty = done("case", "dirty");
        assertThat(current(dirty)).isEqualTo("wash");
        assertThat(dirty.defects()).containsExactly(DefectKind.DIRTY_TOP);
        assertThat(dirty.way()).extracting(Step::id).containsExactly("off", "case", "wash");
        assertThat(dirty.left()).isEqualTo(3);
    }

    @Test
    void allSettledIsTheEndOfTheWay() {
        done("off", "");
        done("case", "sound");
        done("warmth", "22");
        after(Kind.SKIPPED, "wash", "no water");
        after(Kind.TIMER_STARTED, "rest", "");
        done("rest", "");
        Run run = done("note", "fine");
        assertThat(run.current()).isEmpty();
        assertThat(run.left()).isZero();
        assertThat(run.status()).isEqualTo(Status.RUNNING);
        assertThat(after(Kind.FINISHED, "", "").status()).isEqualTo(Status.FINISHED);
        assertThat(run.value("warmth")).isEqualTo("22");
        assertThat(run.value("wash")).isEmpty();
    }

    @Test
    void aStepDoneTwiceIsDoneOnce() {
        done("off", "");
        Run run = done("off", "");
        assertThat(current(run)).isEqualTo("case");
        assertThat(run.way()).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource({"46, RUNNING", "46.1, STOPPED", "'46,1', STOPPED"})
    void aMeasurementAboveItsLimitStops(String value, Status status) {
        done("off", "");
        done("case", "sound");
        Run run = done("warmth", value);
        assertThat(run.status()).isEqualTo(status);
        assertThat(run.stopped())
                .isEqualTo(status == Status.STOPPED ? java.util.Optional.of(HOT) : java.util.Optional.empty());
    }

    @Test
    void anAnswerThatStopsLeavesItsDefectOpen() {
        done("off", "");
        Run run = done("case", "cracked");
        assertThat(run.stopped()).contains(CRACKED);
        assertThat(run.defects()).containsExactly(DefectKind.DAMAGED_CASE);
        assertThat(after(Kind.RESUMED, "", "it was dirt").status()).isEqualTo(Status.RUNNING);
    }

    @Test
    void takingBackAStepTakesWhatCameAfterIt() {
        done("off", "");
        done("case", "dirty");
        done("wash", "");
        after(Kind.TIMER_STARTED, "rest", "");
        Run run = after(Kind.TAKEN_BACK, "case", "wrong battery");
        assertThat(current(run)).isEqualTo("case");
        assertThat(run.settled("wash")).isEmpty();
        assertThat(run.timer(PROCEDURE.step("rest").orElseThrow())).isEmpty();
        assertThat(run.settled("off")).isPresent();
    }

    @Test
    void aStopTakenBackWithItsStepIsNoStop() {
        done("off", "");
        done("case", "cracked");
        assertThat(after(Kind.TAKEN_BACK, "case", "read wrong").status()).isEqualTo(Status.RUNNING);
    }

    @Test
    void aJobIsPausedHandedOverAndGoneOnWith() {
        assertThat(after(Kind.PAUSED, "", "shift ends").status()).isEqualTo(Status.PAUSED);
        assertThat(after(Kind.HANDED_OVER, "", "Ines").holder()).isEqualTo("Ines");
        events.add(new RunEvent(START, "Ines", Kind.RESUMED, "", ""));
        Run run = Run.of(PROCEDURE, "Tom", events);
        assertThat(run.status()).isEqualTo(Status.RUNNING);
        assertThat(run.holder()).isEqualTo("Ines");
    }

    @ParameterizedTest
    @CsvSource({"0, 3600, false", "3599, 1, false", "3600, 0, true", "90000, 0, true"})
    void aTimerRunsByTheClockAlone(long secondsLater, long left, boolean over) {
        Timer timer = new Timer(START, Duration.ofHours(1));
        Instant now = START.plusSeconds(secondsLater);
        assertThat(timer.left(now)).isEqualTo(Duration.ofSeconds(left));
        assertThat(timer.isOver(now)).isEqualTo(over);
    }

    @Test
    void aTimerStartedTwiceRunsFromItsFirstStart() {
        after(Kind.TIMER_STARTED, "rest", "");
        Run run = after(Kind.TIMER_STARTED, "rest", "");
        assertThat(run.timer(PROCEDURE.step("rest").orElseThrow()).orElseThrow().startedAt())
                .isEqualTo(START);
    }

    @ParameterizedTest
    @CsvSource({
        "warmth, 22, ''",
        "warmth, '22,5', ''",
        "warmth, 81, step.fault.range",
        "warmth, warm, step.fault.number",
        "warmth, '', step.fault.number",
        "warmth, Infinity, step.fault.number",
        "case, sound, ''",
        "case, broken, step.fault.choose",
        "note, '', step.fault.blank",
        "note, dry and clean, ''",
        "rest, '', step.fault.timer",
        "off, '', ''",
    })
    void whatIsSaidAtAStepMustBePossible(String step, String value, String fault) {
        Run run = Run.of(PROCEDURE, "Tom", List.of());
        assertThat(StepCheck.fault(run, PROCEDURE.step(step).orElseThrow(), value, START)
                        .map(m -> m.key())
                        .orElse(""))
                .isEqualTo(fault);
    }

    @Test
    void aWaitIsNotOverBeforeItsTime() {
        Run run = after(Kind.TIMER_STARTED, "rest", "");
        Step rest = PROCEDURE.step("rest").orElseThrow();
        assertThat(StepCheck.fault(run, rest, "", START.plusSeconds(3541)).orElseThrow())
                .satisfies(fault -> {
                    assertThat(fault.key()).isEqualTo("step.fault.early");
                    assertThat(fault.arguments()).containsExactly(1);
                });
        assertThat(StepCheck.fault(run, rest, "", START.plusSeconds(3600))).isEmpty();
    }

    @Test
    void aProcedureWithFaultsIsFoundBeforeItIsRun() {
        assertThat(ProcedureFaults.of(PROCEDURE)).isEmpty();
        Procedure bad = procedure(List.of(
                step(
                        "a",
                        new Task.Choose(List.of(
                                new Answer("x", "X", "a", null, null), new Answer("y", "Y", null, "none", null)))),
                step("a", new Task.Measure("V", 5, 5, 4.0, null)),
                step("w", new Task.Wait(Duration.ZERO))));
        assertThat(ProcedureFaults.of(bad))
                .anyMatch(f -> f.contains("leads to a, which is not further on"))
                .anyMatch(f -> f.contains("unknown stop none"))
                .anyMatch(f -> f.contains("step a stands there twice"))
                .anyMatch(f -> f.contains("least is not below most"))
                .anyMatch(f -> f.contains("stopAbove and stop go together"))
                .anyMatch(f -> f.contains("waits no time"));
    }

    private static Step step(String id, StepEffect effect) {
        return new Step(id, "Do " + id, null, null, new Task.Act(), false, true, effect, null, null, null);
    }

    private static Run afterSteps(String... done) {
        Procedure charging = procedure(List.of(
                step("lid", new Task.Act()),
                step("on", StepEffect.CHARGE_BEGUN),
                step("water", StepEffect.COVERED),
                step("off", StepEffect.EQUALISE_ENDED)));
        List<RunEvent> events = new ArrayList<>();
        for (String step : done) {
            events.add(new RunEvent(START.plusSeconds(events.size()), "Tom", Kind.DONE, step, ""));
        }
        return Run.of(charging, "Tom", events);
    }

    @Test
    void currentFlowsFromTheStepThatLetsItFlowToTheOneThatEndsIt() {
        assertThat(afterSteps("lid").currentSince()).isEmpty();
        assertThat(afterSteps("lid", "on").currentSince()).contains(START.plusSeconds(1));
        assertThat(afterSteps("lid", "on", "water").currentSince()).contains(START.plusSeconds(1));
        assertThat(afterSteps("lid", "on", "water", "off").currentSince()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "CHARGE, MOTIVE, CHARGE_STOP",
        "CHARGE, AIRCRAFT, CHARGE_STOP_AIRCRAFT",
        "INITIAL_CHARGE, MOTIVE, INITIAL_PAUSE"
    })
    void aLimitFollowsItsRule(StopLimit limit, Duty duty, RuleKey rule) {
        assertThat(limit.rule(duty)).isEqualTo(rule);
    }

    /** Without duties it is for all; the others are for theirs. */
    @Test
    void aProcedureIsForTheDutiesItNames() {
        assertThat(PROCEDURE.isFor(Duty.AIRCRAFT)).isTrue();
        assertThat(procedureFor(Set.of(Duty.MOTIVE)).isFor(Duty.MOTIVE)).isTrue();
        assertThat(procedureFor(Set.of(Duty.MOTIVE)).isFor(Duty.AIRCRAFT)).isFalse();
        assertThat(procedureFor(Set.of(Duty.MOTIVE)).canBeDoneTo(Duty.MOTIVE)).isTrue();
        assertThat(procedureFor(Set.of(Duty.MOTIVE)).canBeDoneTo(Duty.AIRCRAFT)).isFalse();
        assertThat(PROCEDURE.canBeDoneTo(null))
                .as("a battery's job without a battery")
                .isFalse();
    }
}
