package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rules;

class CoolingTest {
    private static final Instant END = Instant.parse("2026-03-02T02:00:00Z");
    private static final Instant LATER = END.plus(Duration.ofHours(3));
    private static final Rules RULES = Rules.standard();

    @Test
    void byTheClockItTakesItsHours() {
        Cooling cooling = Cooling.of(END, LATER, null, null, RULES);
        assertThat(cooling.isReady(LATER)).isFalse();
        assertThat(cooling.left(LATER)).isEqualTo(Duration.ofHours(5));
        assertThat(cooling.isReady(END.plus(Duration.ofHours(8)))).isTrue();
    }

    @Test
    void aThermometerReleasesItSooner() {
        assertThat(Cooling.of(END, LATER, Celsius.of(28), Celsius.of(20), RULES).isReady(LATER))
                .isTrue();
        assertThat(Cooling.of(END, LATER, Celsius.of(28.1), Celsius.of(20), RULES)
                        .isReady(LATER))
                .isFalse();
    }
}
