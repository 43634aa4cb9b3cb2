package org.ostendum.core.procedure;

import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;

/** Whether what a person says completes a step. */
public final class StepCheck {
    private static final int LONGEST = 2000;

    private StepCheck() {}

    /**
     * @param value as typed, not null
     * @return what is wrong with it, with what is allowed; empty when the step is done with it
     */
    public static Optional<Message> fault(Run run, Step step, String value, Instant now) {
        Task task = step.task();
        if (task instanceof Task.Measure measure) {
            return fault(measure, value);
        } else if (task instanceof Task.Choose choose) {
            return choose.answer(value).isPresent() ? Optional.empty() : Optional.of(Message.of("step.fault.choose"));
        } else if (task instanceof Task.Write) {
            return writing(value);
        } else if (task instanceof Task.Wait) {
            return waiting(run.timer(step).orElse(null), now);
        }
        return Optional.empty();
    }

    private static Optional<Message> fault(Task.Measure measure, String value) {
        Double number = number(value);
        if (number == null) {
            return Optional.of(Message.of(
                    "step.fault.number", value, plain(measure.least()), plain(measure.most()), measure.unit()));
        }
        return number >= measure.least() && number <= measure.most()
                ? Optional.empty()
                : Optional.of(Message.of(
                        "step.fault.range", value, plain(measure.least()), plain(measure.most()), measure.unit()));
    }

    private static Optional<Message> writing(String value) {
        if (value.isBlank()) {
            return Optional.of(Message.of("step.fault.blank"));
        }
        return value.length() > LONGEST
                ? Optional.of(Message.of("step.fault.long", value.length(), LONGEST))
                : Optional.empty();
    }

    private static Optional<Message> waiting(@Nullable Timer timer, Instant now) {
        if (timer == null) {
            return Optional.of(Message.of("step.fault.timer"));
        }
        return timer.isOver(now)
                ? Optional.empty()
                : Optional.of(Message.of(
                        "step.fault.early", (int) Math.ceil(timer.left(now).toSeconds() / 60.0)));
    }

    /** @return the stop condition that a step's value means; null for none */
    static @Nullable StopCondition stopOf(Procedure procedure, Step step, String value) {
        String stop = null;
        if (step.task() instanceof Task.Choose choose) {
            stop = choose.answer(value).map(Task.Answer::stop).orElse(null);
        } else if (step.task() instanceof Task.Measure measure && measure.stopAbove() != null) {
            Double number = number(value);
            stop = number != null && number > measure.stopAbove() ? measure.stop() : null;
        }
        return stop == null ? null : procedure.stop(stop).orElse(null);
    }

    /** @return a number typed with point or comma; null for none */
    static @Nullable Double number(String value) {
        try {
            double number = Double.parseDouble(value.strip().replace(',', '.'));
            return Double.isFinite(number) ? number : null;
        } catch (NumberFormatException e) {
            return null;
        }
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
