package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class PastChargesTest {
    private static final Instant START = Instant.parse("2026-03-02T06:00:00Z");

    private static PastCharges.Line line(int hour, PastCharges.What what, double ampHours) {
        return new PastCharges.Line(START.plus(Duration.ofHours(hour)), what, ampHours);
    }

    @Test
    void workBeginningAndEndMakeACharge() {
        PastCharges charges = PastCharges.of(List.of(
                line(4, PastCharges.What.WORKED, 150),
                line(8, PastCharges.What.WORKED, 200),
                line(9, PastCharges.What.BEGUN, 0),
                line(17, PastCharges.What.FINISHED, 390),
                line(30, PastCharges.What.WORKED, 120)));
        assertThat(charges.finished()).containsExactly(new TimeToFull.Past(350, Duration.ofHours(8)));
        assertThat(charges.taken()).isEqualTo(120);
        assertThat(charges.spans())
                .containsExactly(
                        new PastCharges.Span(START.plus(Duration.ofHours(9)), START.plus(Duration.ofHours(17))));
    }

    @Test
    void whatIsNotWholeIsNotLearnedFrom() {
        assertThat(PastCharges.of(List.of(line(9, PastCharges.What.BEGUN, 0), line(17, PastCharges.What.FINISHED, 300)))
                        .finished())
                .isEmpty();
        assertThat(PastCharges.of(List.of(
                                line(4, PastCharges.What.WORKED, 200),
                                line(9, PastCharges.What.BEGUN, 0),
                                line(60, PastCharges.What.FINISHED, 300)))
                        .finished())
                .isEmpty();
        assertThat(PastCharges.of(List.of(
                                line(4, PastCharges.What.WORKED, 200), line(17, PastCharges.What.FINISHED, 300)))
                        .finished())
                .isEmpty();
        assertThat(PastCharges.of(List.of()).taken()).isNull();
    }
}
