package org.ostendum.core.life;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.rulebook.Rules;

class BreakInTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);

    @ParameterizedTest
    @CsvSource({"2026-10-01, 0, true", "2026-10-01, 29, true", "2026-10-01, 30, false", "2025-11-28, 3, false"})
    void aNewBatteryBreaksInForItsFirstCycles(LocalDate inService, int charges, boolean breaksIn) {
        assertThat(BreakIn.of(inService, TODAY, charges, Rules.standard()).isPresent())
                .isEqualTo(breaksIn);
    }

    @Test
    void untilThenItIsTakenDownLessFar() {
        assertThat(BreakIn.of(TODAY, TODAY, 12, Rules.standard())).contains(new BreakIn(12, 30, 60));
    }
}
