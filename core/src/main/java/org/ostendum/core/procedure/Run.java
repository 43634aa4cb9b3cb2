package org.ostendum.core.procedure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.defect.DefectKind;

/** A run of a procedure as its events leave it. The events are the truth; nothing else is kept. */
public final class Run {
    private final Procedure procedure;
    private final Map<String, RunEvent> settled = new LinkedHashMap<>();
    private final Map<String, Instant> timers = new LinkedHashMap<>();
    private final List<RunEvent> rows = new ArrayList<>();
    private Status status = Status.RUNNING;
    private @Nullable StopCondition stopped;
    private String holder;

    /** Where a run stands. */
    public enum Status {
        RUNNING,
        PAUSED,
        /** A stop condition holds; somebody does what is to be done then. */
        STOPPED,
        FINISHED
    }

    private Run(Procedure procedure, String beganBy) {
        this.procedure = procedure;
        this.holder = beganBy;
    }

    /** @param beganBy who has the job until it is handed over */
    public static Run of(Procedure procedure, String beganBy, List<RunEvent> events) {
        Run run = new Run(procedure, beganBy);
        events.forEach(run::take);
        return run;
    }

    private void take(RunEvent event) {
        switch (event.kind()) {
            case DONE, SKIPPED -> settle(event);
            case TAKEN_BACK -> takeBack(event.about());
            case TIMER_STARTED -> timers.putIfAbsent(event.about(), event.at());
            case ROW -> rows.add(event);
            case PAUSED -> status = Status.PAUSED;
            case RESUMED -> {
                status = Status.RUNNING;
                stopped = null;
                holder = event.person();
            }
            case HANDED_OVER -> holder = event.value();
            case STOPPED -> stop(procedure.stop(event.about()).orElse(null));
            case FINISHED -> status = Status.FINISHED;
            case GATE_OVERRIDDEN, GATE_LOOKED -> {}
        }
    }

    private void settle(RunEvent event) {
        settled.put(event.about(), event);
        Step step = procedure.step(event.about()).orElse(null);
        if (step != null && event.kind() == RunEvent.Kind.DONE) {
            StopCondition means = StepCheck.stopOf(procedure, step, event.value());
            if (means != null) {
                stop(means);
            }
        }
    }

    private void stop(@Nullable StopCondition condition) {
        status = Status.STOPPED;
        stopped = condition;
    }

    /** Takes back a step and all that followed it on the way. */
    private void takeBack(String stepId) {
        int from = procedure.indexOf(stepId);
        settled.keySet().removeIf(id -> procedure.indexOf(id) >= from);
        timers.keySet().removeIf(id -> procedure.indexOf(id) >= from);
        if (status == Status.STOPPED) {
            status = Status.RUNNING;
            stopped = null;
        }
    }

    public Procedure procedure() {
        return procedure;
    }

    public Status status() {
        return status;
    }

    /** Who has the job now. */
    public String holder() {
        return holder;
    }

    public Optional<StopCondition> stopped() {
        return Optional.ofNullable(stopped);
    }

    /** The steps on the way so far, the current one last. */
    public List<Step> way() {
        List<Step> way = new ArrayList<>();
        int at = 0;
        while (at < procedure.steps().size()) {
            Step step = procedure.steps().get(at);
            way.add(step);
            RunEvent event = settled.get(step.id());
            if (event == null) {
                return way;
            }
            at = after(at, step, event);
        }
        return way;
    }

    private int after(int at, Step step, RunEvent event) {
        if (event.kind() == RunEvent.Kind.DONE && step.task() instanceof Task.Choose choose) {
            String goTo = choose.answer(event.value()).map(Task.Answer::goTo).orElse(null);
            if (goTo != null) {
                return Math.max(at + 1, procedure.indexOf(goTo));
            }
        }
        return at + 1;
    }

    /** @return steps from the current one to the end, those that an answer may yet leave out counted too; 0 when all are settled */
    public int left() {
        return current()
                .map(step -> procedure.steps().size() - procedure.indexOf(step.id()))
                .orElse(0);
    }

    /** @return the step to do now; empty when all are settled */
    public Optional<Step> current() {
        List<Step> way = way();
        Step last = way.get(way.size() - 1);
        return settled.containsKey(last.id()) ? Optional.empty() : Optional.of(last);
    }

    /** @return how a step was settled; empty while it is not */
    public Optional<RunEvent> settled(String stepId) {
        return Optional.ofNullable(settled.get(stepId));
    }

    /** @return what was measured, answered or written at a step; empty for nothing */
    public String value(String stepId) {
        RunEvent event = settled.get(stepId);
        return event == null || event.kind() != RunEvent.Kind.DONE ? "" : event.value();
    }

    /** @return since when a step of this job has let current flow; empty before it does and after another has ended it */
    public Optional<Instant> currentSince() {
        @Nullable Instant since = null;
        for (Step step : way()) {
            RunEvent event = settled.get(step.id());
            StepEffect effect = step.effect();
            if (event == null || effect == null) {
                continue;
            }
            switch (effect) {
                case CHARGE_BEGUN -> since = event.at();
                case EQUALISE_ENDED -> since = null;
                case COVERED, KIT_USED, EXCHANGED -> {}
            }
        }
        return Optional.ofNullable(since);
    }

    /** @return the step's wait, once begun */
    public Optional<Timer> timer(Step step) {
        Instant started = timers.get(step.id());
        return started == null || !(step.task() instanceof Task.Wait wait)
                ? Optional.empty()
                : Optional.of(new Timer(started, wait.atLeast()));
    }

    /** Rows written so far, in their order. */
    public List<RunEvent> rows() {
        return List.copyOf(rows);
    }

    /** Everything an inspection found wrong on the way, and what a stop leaves open. */
    public List<DefectKind> defects() {
        List<DefectKind> found = new ArrayList<>();
        for (Step step : way()) {
            if (step.task() instanceof Task.Choose choose) {
                choose.answer(value(step.id())).map(Task.Answer::defect).ifPresent(found::add);
            }
        }
        if (stopped != null && stopped.defect() != null && !found.contains(stopped.defect())) {
            found.add(stopped.defect());
        }
        return found;
    }
}
