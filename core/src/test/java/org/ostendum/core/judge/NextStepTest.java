package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class NextStepTest {
    @Test
    void stepsHaveTheirWordsForPrograms() {
        assertThat(NextStep.TAKE_ROUND.word()).isEqualTo("round");
        assertThat(NextStep.COVER_PLATES.word()).isEqualTo("cover_plates");
    }

    @Test
    void whereCurrentFlowsItIsACharge() {
        assertThat(Arrays.stream(NextStep.values()).filter(NextStep::isCharge))
                .containsExactlyInAnyOrder(
                        NextStep.CHARGE, NextStep.EQUALISE, NextStep.LONG_CHARGE, NextStep.COMMISSION);
        assertThat(Arrays.stream(NextStep.values()).filter(NextStep::isReading))
                .containsExactlyInAnyOrder(
                        NextStep.COMPARE_HYDROMETER,
                        NextStep.READ_AGAIN,
                        NextStep.READ_AFTER_EQUALISE,
                        NextStep.TAKE_ROUND);
    }
}
