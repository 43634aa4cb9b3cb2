package org.ostendum.app.procedure;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.procedure.ProcedureFile.AnswerText;
import org.ostendum.app.procedure.ProcedureFile.MeasureText;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StepEffect;
import org.ostendum.core.procedure.StepSum;
import org.ostendum.core.procedure.Task;
import org.ostendum.core.rulebook.Rules;

/** One step as it is written down; at most one of {@code hold} to {@code signOff} says what completes it, none means that it is done. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record StepText(
        String id,
        @JsonProperty("do") String text,
        @Nullable String why,
        @Nullable String picture,
        @Nullable Boolean photos,
        @Nullable Boolean skip,
        @Nullable String hold,
        @Nullable Integer waitMinutes,
        @Nullable MeasureText measure,
        @Nullable List<AnswerText> choose,
        @Nullable Boolean write,
        Task.Rows.@Nullable Kind rows,
        @Nullable List<String> signOff,
        @Nullable StepEffect effect,
        @Nullable GateKey gate,
        @Nullable GateKey answers,
        @Nullable StepSum sum) {

    Step step() {
        return new Step(
                id,
                text,
                why,
                picture,
                task(),
                Boolean.TRUE.equals(photos),
                Boolean.TRUE.equals(skip),
                effect,
                gate,
                answers,
                sum);
    }

    /** A plain step: nothing but words, done when it is said to be done. */
    public static StepText plain(String id, String text) {
        return made(id, text, null, null, null, null, null, null);
    }

    /** Done when one of these is answered; pictures may be added. */
    public static StepText chosen(String id, String text, String why, List<AnswerText> among) {
        return made(id, text, why, true, null, among, null, null);
    }

    /** Done when its rows are enough. */
    public static StepText inRows(String id, String text, String why, Task.Rows.Kind kind) {
        return made(id, text, why, null, null, null, null, kind);
    }

    /** Done when words are written. */
    public static StepText written(String id, String text) {
        return made(id, text, null, null, null, null, true, null);
    }

    /** Done when a state has been confirmed. */
    public static StepText held(String id, String text, String confirm) {
        return made(id, text, null, null, confirm, null, null, null);
    }

    /** Done when a number is read off. */
    public static StepText measured(String id, String text, MeasureText measure) {
        return plain(id, text).with(null, measure);
    }

    private static StepText made(
            String id,
            String text,
            @Nullable String why,
            @Nullable Boolean photos,
            @Nullable String hold,
            @Nullable List<AnswerText> choose,
            @Nullable Boolean write,
            Task.Rows.@Nullable Kind rows) {
        return new StepText(
                id, text, why, null, photos, null, hold, null, null, choose, write, rows, null, null, null, null, null);
    }

    StepText under(Rules rules, @Nullable Duty duty) {
        return measure == null ? this : with(why, measure.under(rules, duty));
    }

    /** The same step with other words beside it. */
    public StepText because(String reason) {
        return with(reason, measure);
    }

    private StepText with(@Nullable String reason, @Nullable MeasureText measured) {
        return new StepText(
                id,
                text,
                reason,
                picture,
                photos,
                skip,
                hold,
                waitMinutes,
                measured,
                choose,
                write,
                rows,
                signOff,
                effect,
                gate,
                answers,
                sum);
    }

    private Task task() {
        if (hold != null) {
            return new Task.Hold(hold);
        } else if (waitMinutes != null) {
            return new Task.Wait(Duration.ofMinutes(waitMinutes));
        } else if (measure != null) {
            return measure.task();
        } else if (choose != null) {
            return new Task.Choose(choose.stream().map(AnswerText::answer).toList());
        } else if (Boolean.TRUE.equals(write)) {
            return new Task.Write();
        } else if (rows != null) {
            return new Task.Rows(rows);
        }
        return signOff == null ? new Task.Act() : new Task.SignOff(signOff);
    }
}
