package org.ostendum.core.procedure;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.defect.DefectKind;

/** What completes a step. */
public sealed interface Task {
    /** The same task with its texts said anew; most have none. */
    default Task said(UnaryOperator<String> anew) {
        return this;
    }

    /** It is done and said to be done. */
    record Act() implements Task {}

    /**
     * Nothing goes on until a state is confirmed.
     *
     * @param confirm the state in words, such as "The charger is off"
     */
    record Hold(String confirm) implements Task {
        @Override
        public Task said(UnaryOperator<String> anew) {
            return new Hold(anew.apply(confirm));
        }
    }

    /** Nothing goes on before so long has passed since the step was begun. */
    record Wait(Duration atLeast) implements Task {}

    /**
     * A number is read off.
     *
     * @param unit as written beside it
     * @param least smallest value that can be, included
     * @param most largest value that can be, included
     * @param stopAbove above it the stop condition {@code stop} holds; null for none
     * @param stop id of a stop condition, null with {@code stopAbove}
     */
    record Measure(String unit, double least, double most, @Nullable Double stopAbove, @Nullable String stop)
            implements Task {}

    /** One of several answers. */
    record Choose(List<Answer> answers) implements Task {
        public Choose {
            answers = List.copyOf(answers);
        }

        @Override
        public Task said(UnaryOperator<String> anew) {
            return new Choose(answers.stream()
                    .map(a -> new Answer(a.id(), anew.apply(a.text()), a.goTo(), a.stop(), a.defect()))
                    .toList());
        }

        public Optional<Answer> answer(String id) {
            return answers.stream().filter(a -> a.id().equals(id)).findFirst();
        }
    }

    /**
     * An answer and what follows from it.
     *
     * @param goTo the step that comes next, further on; null for the one after this
     * @param stop id of a stop condition it means; null for none
     * @param defect what it finds wrong; null for nothing
     */
    record Answer(String id, String text, @Nullable String goTo, @Nullable String stop, @Nullable DefectKind defect) {}

    /** Words are written down. */
    record Write() implements Task {}

    /** Rows are written until the core says that they are enough. */
    record Rows(Kind kind) implements Task {
        /** What the rows are of. */
        public enum Kind {
            /** Hourly, until the first charge is over. */
            INITIAL_CHARGE,
            /** Hourly of the lowest cell, until it has stopped rising. */
            EQUALISE,
            /** Voltages found on the lid, as many as there are places that show one. */
            TOP_LEAK,
            /** Voltages of a pack's blocks and of the string, until nothing speaks against closing it. */
            BLOCK_VOLTS
        }
    }

    /** A person of one of these roles signs. */
    record SignOff(List<String> roles) implements Task {
        public SignOff {
            roles = List.copyOf(roles);
        }
    }
}
