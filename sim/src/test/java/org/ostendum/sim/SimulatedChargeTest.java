package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.EndOfCharge;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.Rules;

class SimulatedChargeTest {
    private static final Instant START = Instant.parse("2026-03-02T18:00:00Z");
    private static final BatteryModel TRAY = new BatteryModel(
            "tray",
            CellKind.FLOODED,
            Duty.MOTIVE,
            TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
            AmpHours.of(600),
            6,
            GravityMarks.usualFor(Duty.MOTIVE));
    private static final List<ChargeSample> CHARGE = SimulatedCharge.of(TRAY, 0.6, START, Duration.ofMinutes(5), 4);

    private static EndOfCharge.Verdict judged(List<ChargeSample> samples, boolean lamp) {
        return EndOfCharge.judge(
                new EndOfCharge.Known(TRAY, TRAY.cells(), Rules.standard(), samples, List.of(), 360.0, null, lamp));
    }

    @Test
    void moreComesBackThanWasTaken() {
        assertThat(EndOfCharge.returned(CHARGE)).isCloseTo(360 * 1.13, within(15.0));
    }

    @Test
    void theVoltageRisesWhileTheCurrentFalls() {
        ChargeSample first = CHARGE.get(0);
        ChargeSample last = CHARGE.get(CHARGE.size() - 1);
        assertThat(last.volts()).isGreaterThan(first.volts());
        assertThat(last.amperes().amperes()).isLessThan(first.amperes().amperes() / 2);
        assertThat(CHARGE).allMatch(s -> s.isPossible(18, 600));
        assertThat(CHARGE).extracting(ChargeSample::at).isSorted().doesNotHaveDuplicates();
    }

    /** Not full in the middle whatever the lamp says; full at the end on two signs. */
    @Test
    void theEndIsFoundAtTheEnd() {
        for (int part = 1; part <= 6; part++) {
            assertThat(judged(CHARGE.subList(0, CHARGE.size() * part / 10), true)
                            .full())
                    .isFalse();
        }
        EndOfCharge.Verdict end = judged(CHARGE, true);
        assertThat(end.full()).isTrue();
        assertThat(end.signs()).contains(FullSign.RETURNED);
    }
}
