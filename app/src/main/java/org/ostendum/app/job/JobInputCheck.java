package org.ostendum.app.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.procedure.Rows;
import org.ostendum.app.words.Words;
import org.ostendum.core.commission.InitialCharge;
import org.ostendum.core.commission.InitialCharge.Advice;
import org.ostendum.core.commission.InitialChargePlan;
import org.ostendum.core.equalise.EqualiseEnd;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Run.Status;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StepCheck;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.rulebook.Rules;

/** Whether what a person says at a job can be kept as it stands now. */
final class JobInputCheck {
    private static final int SHORTEST_REASON = 3;
    private static final int LONGEST_REASON = 400;

    private final Run run;
    private final @Nullable Battery battery;
    private final Person person;
    private final Words words;
    private final Instant now;
    private final Rules rules;
    private final boolean trained;
    private final List<String> colleagues;
    private final Faults.Finder faults;
    private String value = "";

    /**
     * @param colleagues names of those who can take the job over
     */
    JobInputCheck(
            Run run,
            @Nullable Battery battery,
            Rules rules,
            Person person,
            Words words,
            Instant now,
            boolean trained,
            List<String> colleagues) {
        this.run = run;
        this.battery = battery;
        this.person = person;
        this.words = words;
        this.now = now;
        this.rules = rules;
        this.trained = trained;
        this.colleagues = List.copyOf(colleagues);
        this.faults = new Faults.Finder(words);
    }

    /**
     * @param value to be kept
     * @param overtaken a sentence when somebody else has settled it meanwhile; null when nobody has
     */
    record Verdict(String value, Faults faults, @Nullable String overtaken) {}

    Verdict of(JobInput said) {
        value = said.value();
        Optional<RunEvent> settled = run.settled(said.about());
        if (isAboutTheCurrentStep(said.kind()) && settled.isPresent()) {
            return new Verdict(value, Faults.NONE, overtaken(settled.get()));
        }
        boolean halts = said.kind() == RunEvent.Kind.STOPPED || said.kind() == RunEvent.Kind.PAUSED;
        if (signs(said)) {
            look(said);
        } else if (!halts && battery != null && !person.worksOnBatteries()) {
            faults.add("value", "job.fault.role", words.name(person.role()));
        } else if (!halts && !trained) {
            faults.add(
                    "value", "job.fault.untrained", words.name(run.procedure().training()));
        } else {
            look(said);
        }
        return new Verdict(value, faults.found(), null);
    }

    /** Who signs answers for the work of others: his role entitles him, not a training in the work. */
    private boolean signs(JobInput said) {
        return said.kind() == RunEvent.Kind.DONE
                && run.current()
                        .filter(step -> step.id().equals(said.about())
                                && step.task() instanceof Task.SignOff signOff
                                && signOff.roles().contains(person.role().name()))
                        .isPresent();
    }

    private static boolean isAboutTheCurrentStep(RunEvent.Kind kind) {
        return kind == RunEvent.Kind.DONE || kind == RunEvent.Kind.SKIPPED || kind == RunEvent.Kind.ROW;
    }

    private String overtaken(RunEvent by) {
        return words.text("job.overtaken.step", by.person(), words.clock(by.at()));
    }

    private void look(JobInput said) {
        switch (said.kind()) {
            case DONE -> atCurrent(said).ifPresent(step -> done(step, said));
            case SKIPPED ->
                atCurrent(said).ifPresent(step -> {
                    if (!step.mayBeSkipped()) {
                        faults.add("value", "job.fault.skip");
                    }
                    reason(said);
                });
            case ROW -> atCurrent(said).ifPresent(step -> row(step, said));
            case TIMER_STARTED ->
                atCurrent(said).ifPresent(step -> {
                    if (!(step.task() instanceof Task.Wait)) {
                        faults.add("value", "job.fault.moment");
                    }
                });
            case TAKEN_BACK -> takenBack(said);
            case PAUSED -> {
                expect(run.status() == Status.RUNNING);
                notTooLong(said);
            }
            case RESUMED -> resumed(said);
            case HANDED_OVER -> handedOver(said);
            case STOPPED -> expect(run.procedure().stop(said.about()).isPresent());
            case FINISHED -> finished();
            case GATE_OVERRIDDEN, GATE_LOOKED -> expect(false);
        }
    }

    /** What a step has done beyond its job is on record: unsaying it here would leave the two apart. */
    private void takenBack(JobInput said) {
        expect(run.settled(said.about()).isPresent());
        run.procedure()
                .step(said.about())
                .flatMap(step -> Optional.ofNullable(step.effect()))
                .ifPresent(effect -> faults.add("value", "job.fault.on-record." + effect.name()));
        reason(said);
    }

    private void handedOver(JobInput said) {
        expect(run.status() == Status.RUNNING || run.status() == Status.PAUSED);
        if (!colleagues.contains(said.value())) {
            faults.add("value", "job.fault.colleague");
        }
    }

    private void notTooLong(JobInput said) {
        if (said.value().length() > LONGEST_REASON) {
            faults.add("value", "step.fault.long", said.value().length(), LONGEST_REASON);
        }
    }

    private void resumed(JobInput said) {
        expect(run.status() == Status.PAUSED || run.status() == Status.STOPPED);
        if (run.status() == Status.STOPPED) {
            reason(said);
        }
    }

    private void finished() {
        boolean allSettled = run.status() == Status.RUNNING && run.current().isEmpty();
        expect(allSettled || run.status() == Status.STOPPED);
    }

    private void expect(boolean holds) {
        if (!holds) {
            faults.add("value", "job.fault.moment");
        }
    }

    private Optional<Step> atCurrent(JobInput said) {
        Optional<Step> current = run.current().filter(step -> step.id().equals(said.about()));
        expect(current.isPresent() && run.status() == Status.RUNNING);
        return faults.any() ? Optional.empty() : current;
    }

    private void done(Step step, JobInput said) {
        if (step.task() instanceof Task.Measure measure) {
            @Nullable
            String read = MeasuredValue.read(measure, said.value(), words).orTell("value", faults);
            value = read == null ? "" : read;
            if (faults.any()) {
                return;
            }
        }
        StepCheck.fault(run, step, value, now)
                .ifPresent(fault ->
                        faults.add("value", fault.key(), fault.arguments().toArray()));
        if (step.task() instanceof Task.SignOff signOff
                && !signOff.roles().contains(person.role().name())) {
            faults.add("value", "job.fault.sign", words.name(person.role()));
        }
        if (step.task() instanceof Task.Rows rows && rows.kind() == Task.Rows.Kind.INITIAL_CHARGE) {
            initialCharge();
        } else if (step.task() instanceof Task.Rows rows && rows.kind() == Task.Rows.Kind.EQUALISE) {
            int wanted = EqualiseEnd.stillWanted(Rows.equalise(run, rules.temperatureCorrection()));
            if (wanted > 0) {
                faults.add("value", "job.fault.rows", words.text("equalise.wanted", wanted));
            }
        }
    }

    private void initialCharge() {
        if (battery == null) {
            return;
        }
        InitialCharge.State state = InitialCharge.of(
                InitialChargePlan.of(battery.type().model(), rules),
                Rows.charge(run, rules.temperatureCorrection()),
                Rows.levelSet(run));
        if (state.advice() != Advice.DONE) {
            faults.add("value", "job.fault.rows", words.say(state.missing().get(0)));
        }
    }

    private void row(Step step, JobInput said) {
        if (battery == null || !(step.task() instanceof Task.Rows rows)) {
            expect(false);
            return;
        }
        TypedForm form = new TypedForm(said.fields(), words);
        Optional<String> row = RowForm.read(rows.kind(), form, battery.type().model(), words);
        form.faults().byField().forEach(faults::say);
        row.ifPresent(text -> value = text);
    }

    private void reason(JobInput said) {
        int length = said.value().length();
        if (length < SHORTEST_REASON || length > LONGEST_REASON) {
            faults.add("value", "job.fault.reason");
        }
    }
}
