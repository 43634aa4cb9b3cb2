package org.ostendum.core.procedure;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * One thing to do.
 *
 * @param id within its procedure
 * @param text what to do
 * @param why its reason, or a caution; null for none
 * @param picture name of the drawing beside it; null for none
 * @param task what completes it
 * @param photos whether pictures can be put to it
 * @param mayBeSkipped with a reason
 * @param effect that settling it has at once; null for none
 * @param answers the gate whose question it puts to the person: where the state knows the answer the step is left out
 * @param gate that must stand open for it, besides those before the job: a later visit; null for none
 * @param sum what it works out by itself for the person; null for nothing
 */
public record Step(
        String id,
        String text,
        @Nullable String why,
        @Nullable String picture,
        Task task,
        boolean photos,
        boolean mayBeSkipped,
        @Nullable StepEffect effect,
        @Nullable GateKey gate,
        @Nullable GateKey answers,
        @Nullable StepSum sum) {

    Step said(UnaryOperator<String> anew) {
        return new Step(
                id,
                anew.apply(text),
                why == null ? null : anew.apply(why),
                picture,
                task.said(anew),
                photos,
                mayBeSkipped,
                effect,
                gate,
                answers,
                sum);
    }

    /**
     * @return what is said when all is as it should be: a blank for what is simply done; empty where only a figure, or one of several
     *     right answers, settles it
     */
    public Optional<String> rightAnswer() {
        if (task instanceof Task.Act || task instanceof Task.Hold) {
            return Optional.of("");
        }
        return right().map(Task.Answer::id);
    }

    /** @return how a person sees that it is as it should be */
    public String rightText() {
        return task instanceof Task.Hold hold
                ? hold.confirm()
                : right().map(Task.Answer::text).orElse(text);
    }

    private Optional<Task.Answer> right() {
        if (!(task instanceof Task.Choose choose)) {
            return Optional.empty();
        }
        List<Task.Answer> right = choose.answers().stream()
                .filter(answer -> answer.stop() == null && answer.defect() == null)
                .toList();
        return right.size() == 1 ? Optional.of(right.get(0)) : Optional.empty();
    }
}
