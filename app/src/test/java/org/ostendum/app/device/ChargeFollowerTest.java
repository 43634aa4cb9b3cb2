package org.ostendum.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.inventory.Whereabouts;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.ChargerStatus.State;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.receive.DateScheme;
import org.ostendum.core.rulebook.Rules;

class ChargeFollowerTest {
    private static final Instant BEGUN = Instant.parse("2026-05-04T16:00:00Z");

    private final ChargeFollower follower = new ChargeFollower(
            new ChargeRun(
                    1,
                    7,
                    "T-07",
                    3L,
                    "C3",
                    ChargeKind.CONVENTIONAL,
                    BEGUN,
                    null,
                    null,
                    null,
                    new ChargeRun.Meter(null, null, null, null, 0, null, null, null)),
            facts(),
            1);
    private int seconds;

    private static ExpectedCharge facts() {
        BatteryModel model = new BatteryModel(
                "M",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
                AmpHours.of(600),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
        StoredModel type = new StoredModel(
                1, model, "Corvane", 12, "to the ring", 930, false, DateScheme.LETTER_DIGIT, 0, "", false, null);
        LocalDate day = LocalDate.of(2024, 5, 4);
        Whereabouts stand = new Whereabouts(1L, null, null, "Stand 1", 1L, "main");
        Battery battery = new Battery(7, "T-07", "S", type, null, day, day, stand, null);
        Duration hours = Duration.ofHours(8);
        return new ExpectedCharge(
                battery, Rules.standard(), 400.0, new TimeToFull.Estimate(hours, hours, hours, false));
    }

    /** Half a minute later the charger says so. */
    private void hear(State state, int starts, double ampHours, int running) {
        seconds += 30;
        ChargerStatus status = new ChargerStatus(
                seconds,
                state,
                Trouble.NONE,
                Volts.of(40),
                new Amperes(state.isCharging() ? 90 : 0),
                AmpHours.of(ampHours),
                1000L * starts,
                starts,
                Duration.ofSeconds(running));
        follower.hear(new DatedStatus<>(status, BEGUN.plusSeconds(seconds), seconds * 1_000_000_000L), null);
    }

    @Test
    void theLampOfTheChargeBeforeIsNotThisOnes() {
        hear(State.DONE, 4, 430, 26_000);
        hear(State.DONE, 4, 430, 26_000);
        hear(State.DONE, 4, 430, 26_000);
        assertThat(follower.run().meter().lampAt()).isNull();
        assertThat(follower.run().meter().ampHours()).isNull();

        hear(State.BULK, 5, 0.7, 30);
        assertThat(follower.run().meter().from()).isEqualTo(BEGUN.plusSeconds(90));
        assertThat(follower.run().meter().ampHours()).isEqualTo(0.7);
    }

    @Test
    void aLampIsBelievedWhenItIsSaidTwice() {
        hear(State.FINISH, 5, 420, 30);
        hear(State.DONE, 5, 421, 60);
        assertThat(follower.run().meter().lampAt()).isNull();
        hear(State.FINISH, 5, 421, 90);
        hear(State.DONE, 5, 422, 120);
        assertThat(follower.run().meter().lampAt()).isNull();
        hear(State.DONE, 5, 422, 120);
        assertThat(follower.run().meter().lampAt()).isEqualTo(BEGUN.plusSeconds(120));
    }

    @Test
    void aChargerThatBeginsAnewGoesOnCounting() {
        hear(State.BULK, 5, 100, 4_000);
        hear(State.BULK, 5, 101, 4_030);
        hear(State.BULK, 6, 0.2, 10);
        assertThat(follower.run().meter().starts()).as("said once").isEqualTo(5);
        hear(State.BULK, 6, 1, 40);
        assertThat(follower.run().meter().starts()).isEqualTo(6);
        assertThat(follower.run().meter().ampHours()).isEqualTo(102, within(0.01));
    }

    @Test
    void aChargeFirstHeardLateHasNoEnergyOfItsOwn() {
        hear(State.BULK, 5, 100, 4_000);
        hear(State.BULK, 5, 101, 4_030);
        assertThat(follower.run().kilowattHours()).isNull();
    }
}
