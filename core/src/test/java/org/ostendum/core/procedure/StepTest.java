package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.procedure.Task.Answer;

class StepTest {
    private static final Answer WHOLE = new Answer("whole", "Whole", null, null, null);
    private static final Answer CRACKED = new Answer("cracked", "Cracked", null, "damaged", null);
    private static final Answer WORN = new Answer("worn", "Worn", null, null, DefectKind.WORN_PLUG);

    private static Step step(Task task) {
        return new Step("s", "Look at the case.", null, null, task, false, false, null, null, null, null);
    }

    @Test
    void oneLookAnswersWhatHasOneRightAnswer() {
        Step choose = step(new Task.Choose(List.of(CRACKED, WHOLE, WORN)));
        assertThat(choose.rightAnswer()).contains("whole");
        assertThat(choose.rightText()).isEqualTo("Whole");
        assertThat(step(new Task.Hold("The charger is off")).rightAnswer()).contains("");
        assertThat(step(new Task.Hold("The charger is off")).rightText()).isEqualTo("The charger is off");
        assertThat(step(new Task.Act()).rightText()).isEqualTo("Look at the case.");
    }

    @Test
    void aFigureOrSeveralRightAnswersWantMore() {
        assertThat(step(new Task.Measure("V", 0, 50, null, null)).rightAnswer()).isEmpty();
        assertThat(step(new Task.Choose(List.of(WHOLE, new Answer("new", "New", null, null, null))))
                        .rightAnswer())
                .isEmpty();
        assertThat(step(new Task.Choose(List.of(CRACKED, WORN))).rightAnswer()).isEmpty();
    }
}
