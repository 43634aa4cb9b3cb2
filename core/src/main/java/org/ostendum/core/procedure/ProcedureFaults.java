package org.ostendum.core.procedure;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is wrong with a procedure, found when it is read and not when somebody stands at the battery. */
public final class ProcedureFaults {
    private final Procedure procedure;
    private final List<String> faults = new ArrayList<>();

    private ProcedureFaults(Procedure procedure) {
        this.procedure = procedure;
    }

    /** @return each fault in a sentence; none for a sound procedure */
    public static List<String> of(Procedure procedure) {
        ProcedureFaults faults = new ProcedureFaults(procedure);
        faults.look();
        return faults.faults;
    }

    private void look() {
        expect(procedure.version() >= 1, "version is " + procedure.version() + ", it counts from 1");
        expect(!procedure.title().isBlank(), "the title is empty");
        expect(!procedure.steps().isEmpty(), "there are no steps");
        expect(!procedure.practices().isEmpty(), "no practice is named");
        expect(
                !procedure.references().isEmpty(),
                "no reference is named: local codes and the maker's manual come first");
        Set<String> ids = new HashSet<>();
        for (Step step : procedure.steps()) {
            expect(ids.add(step.id()), "step " + step.id() + " stands there twice");
            expect(!step.text().isBlank(), "step " + step.id() + " has no text");
            look(step);
        }
        if (procedure.records() != null && procedure.records().quantityFrom() != null) {
            String from = procedure.records().quantityFrom();
            expect(
                    procedure
                            .step(from)
                            .filter(s -> s.task() instanceof Task.Measure)
                            .isPresent(),
                    "the quantity comes from " + from + ", which measures nothing");
        }
    }

    private void look(Step step) {
        if (step.task() instanceof Task.Choose choose) {
            expect(choose.answers().size() >= 2, "step " + step.id() + " has fewer than two answers");
            for (Task.Answer answer : choose.answers()) {
                onward(step, answer);
                known(step, answer.stop());
            }
        } else if (step.task() instanceof Task.Measure measure) {
            expect(measure.least() < measure.most(), "step " + step.id() + ": least is not below most");
            expect(
                    (measure.stopAbove() == null) == (measure.stop() == null),
                    "step " + step.id() + ": stopAbove and stop go together");
            known(step, measure.stop());
        } else if (step.task() instanceof Task.Wait wait) {
            expect(!wait.atLeast().isNegative() && !wait.atLeast().isZero(), "step " + step.id() + " waits no time");
        }
    }

    /** A run always comes to an end because no answer leads back. */
    private void onward(Step step, Task.Answer answer) {
        if (answer.goTo() != null) {
            expect(
                    procedure.indexOf(answer.goTo()) > procedure.indexOf(step.id()),
                    "step " + step.id() + " leads to " + answer.goTo() + ", which is not further on");
        }
    }

    private void known(Step step, @Nullable String stop) {
        if (stop != null) {
            expect(procedure.stop(stop).isPresent(), "step " + step.id() + " names the unknown stop " + stop);
        }
    }

    private void expect(boolean holds, String fault) {
        if (!holds) {
            faults.add(procedure.id() + ": " + fault);
        }
    }
}
