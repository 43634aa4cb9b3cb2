package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.quantity.AmpHours;

class PastChargesTest {
    private static final Instant START = Instant.parse("2026-03-02T06:00:00Z");

    private static Instant hour(int hour) {
        return START.plus(Duration.ofHours(hour));
    }

    private static BatteryEvent worked(int hour, double ampHours) {
        return new BatteryEvent.Worked(hour(hour), AmpHours.of(ampHours));
    }

    private static BatteryEvent begun(int hour) {
        return new BatteryEvent.ChargeStarted(hour(hour), ChargeKind.CONVENTIONAL, null);
    }

    private static BatteryEvent finished(int hour, double ampHours) {
        return BatteryEvent.ChargeEnded.unstated(hour(hour), AmpHours.of(ampHours));
    }

    private static PastCharges charges(BatteryEvent... events) {
        return PastCharges.of(new EventLog(List.of(events)));
    }

    @Test
    void workBeginningAndEndMakeACharge() {
        PastCharges charges = charges(worked(4, 150), worked(8, 200), begun(9), finished(17, 390), worked(30, 120));
        assertThat(charges.finished()).containsExactly(new TimeToFull.Past(350, Duration.ofHours(8)));
        assertThat(charges.taken()).isEqualTo(120);
        assertThat(charges.spans()).containsExactly(new PastCharges.Span(hour(9), hour(17)));
    }

    /** Cycles are counted whether or not anybody wrote down what was taken out, and fall out of the count by time alone. */
    @Test
    void cyclesAreCountedFromADayOn() {
        PastCharges charges = charges(begun(9), finished(17, 390), worked(30, 120), begun(33), finished(40, 150));
        assertThat(charges.countSince(hour(0))).isEqualTo(2);
        assertThat(charges.countSince(hour(17))).isEqualTo(2);
        assertThat(charges.countSince(hour(18))).isEqualTo(1);
        assertThat(charges.countSince(hour(41))).isZero();
    }

    @Test
    void whatIsNotWholeIsNotLearnedFrom() {
        assertThat(charges(begun(9), finished(17, 300)).finished()).isEmpty();
        assertThat(charges(worked(4, 200), begun(9), finished(60, 300)).finished())
                .isEmpty();
        assertThat(charges(worked(4, 200), finished(17, 300)).finished()).isEmpty();
        assertThat(charges().taken()).isNull();
    }

    @Test
    void whatWasEndedEarlyLeavesSomethingToBePutBack() {
        PastCharges charges = charges(
                worked(4, 200),
                begun(9),
                new BatteryEvent.ChargeEnded(hour(12), Ending.ENDED_EARLY, Set.of(), AmpHours.of(60)));
        assertThat(charges.finished()).isEmpty();
        assertThat(charges.taken()).isEqualTo(140);
    }
}
