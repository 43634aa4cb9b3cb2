package org.ostendum.app.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargerEvents;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.app.support.FakeLineTest;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.device.ChargerStatus;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** The application at its equipment, and what may happen between them, in the test's own time. */
@FakeLineTest
// A site of its own: elsewhere the same batteries have worked and charged meanwhile.
@TestPropertySource(properties = "tests.site=equipment")
class EquipmentTest extends AtTheEquipment {
    private static final Duration LONG = Duration.ofHours(9);

    @Autowired
    private ChargerEvents chargerEvents;

    @Autowired
    private FakeEquipment equipment;

    @BeforeEach
    void fill() {
        site.fill(1);
        equipment.pass(FakeEquipment.STEP);
    }

    @Test
    void aChargeIsFollowedToItsLampWithItsMetersAndNoAlarm() {
        Battery battery = plug(1);
        equipment.pass(Duration.ofMinutes(3));
        assertThat(state(battery)).isEqualTo(ChargerStatus.State.BULK);
        equipment.pass(Duration.ofMinutes(30));
        assertThat(samples(battery)).hasSizeGreaterThan(12).allSatisfy(s -> assertThat(s.celsius())
                .isNotNull());

        assertThat(equipment.passUntil(LONG, () -> run(battery).meter().lampAt() != null))
                .isTrue();
        ChargeRun done = run(battery);
        assertThat(done.meter().ampHours()).isBetween(EquipmentSite.TAKEN * 1.05, EquipmentSite.TAKEN * 1.25);
        assertThat(done.kilowattHours()).isBetween(9.0, 15.0);
        assertThat(Duration.between(done.begunAt(), done.meter().lampAt()))
                .isBetween(Duration.ofHours(2), Duration.ofHours(7));
        assertThat(ringing("T-1")).isEmpty();
    }

    @Test
    void oneThatDoesNotStartAndOneThatStopsEarlyRingAndFallQuietWhenUnplugged() {
        Battery dead = plug(3);
        Battery early = plug(2);
        assertThat(equipment.passUntil(LONG, () -> rings(AlarmKind.NOT_STARTED, "T-3")))
                .isTrue();
        assertThat(chargerEvents.of(charger(dead), 5))
                .extracting(ChargerEvents.Line::what)
                .contains(ChargerEvents.What.TROUBLE);
        assertThat(equipment.passUntil(LONG, () -> rings(AlarmKind.ENDED_EARLY, "T-2")))
                .isTrue();
        charges.end(dead);
        charges.end(early);
        equipment.pass(Duration.ofMinutes(3));
        assertThat(ringing("T-3")).isEmpty();
        assertThat(ringing("T-2")).isEmpty();
    }

    @Test
    void equipmentThatFallsSilentIsMissedAndWhenItIsBackTheChargeGoesOn() {
        Battery battery = plug(6);
        equipment.pass(Duration.ofMinutes(8));
        equipment.silent(true);
        equipment.pass(Duration.ofMinutes(20));
        assertThat(ringing()).contains(AlarmKind.LINE_SILENT).doesNotContain(AlarmKind.NOT_HEARD);
        int before = samples(battery).size();
        assertThat(before).isPositive();
        assertThat(run(battery).meter().lampAt()).isNull();

        equipment.forget();
        equipment.silent(false);
        equipment.pass(Duration.ofMinutes(10));
        assertThat(ringing()).doesNotContain(AlarmKind.LINE_SILENT);
        assertThat(samples(battery))
                .hasSizeGreaterThan(before + 5)
                .isSortedAccordingTo(Comparator.comparing(ChargeSample::at));
        assertThat(run(battery).meter().lampAt()).isNull();
    }

    @Test
    void whileEquipmentThatWasStartedAnewIsToldOfItsChargesNoScreenSaysThatNothingIsPluggedIn() {
        Battery battery = plug(6);
        equipment.pass(Duration.ofMinutes(8));
        equipment.forget();
        for (int minute = 0; minute < 4; minute++) {
            equipment.pass(Duration.ofMinutes(1));
            assertThat(statuses.charger(charger(battery)).map(ChargerStatus::state))
                    .isNotEqualTo(Optional.of(ChargerStatus.State.EMPTY));
        }
        assertThat(state(battery).isCharging()).isTrue();
    }

    @Test
    void aPlugThatIsPulledWithoutAWordIsNoticedAndPutBackTheChargeGoesOn() {
        Battery battery = plug(6);
        equipment.pass(Duration.ofMinutes(8));
        equipment.pulled(true);
        equipment.pass(Duration.ofMinutes(2));
        assertThat(ringing("T-6")).as("somebody may be about to plug it in").isEmpty();
        equipment.pass(Duration.ofMinutes(4));
        assertThat(ringing("T-6")).containsExactly(AlarmKind.UNPLUGGED);

        equipment.pulled(false);
        equipment.pass(Duration.ofMinutes(6));
        assertThat(ringing("T-6")).isEmpty();
        assertThat(state(battery).isCharging()).isTrue();
    }

    @Test
    void rustleOnTheLineIsNeitherFullNorAnAlarm() {
        Battery battery = plug(6);
        equipment.pass(Duration.ofMinutes(8));
        int before = samples(battery).size();
        equipment.garble(0.6);
        equipment.pass(Duration.ofMinutes(40));
        equipment.garble(0);

        assertThat(samples(battery)).as("some of it came through").hasSizeGreaterThan(before);
        assertThat(run(battery).meter().lampAt()).isNull();
        assertThat(ringing())
                .doesNotContain(
                        AlarmKind.OVER_TEMPERATURE, AlarmKind.GAS_STOP, AlarmKind.ENDED_EARLY, AlarmKind.NO_END);
    }

    @Test
    void aClockThatIsCorrectedMovesNothing() {
        Battery battery = plug(6);
        equipment.pass(Duration.ofMinutes(8));
        equipment.jump(Duration.ofHours(3));
        equipment.pass(Duration.ofMinutes(16));
        equipment.jump(Duration.ofHours(-4));
        equipment.pass(Duration.ofMinutes(16));
        equipment.jump(Duration.ofHours(1));

        List<ChargeSample> samples = samples(battery);
        double hours = Duration.between(
                                samples.get(0).at(),
                                samples.get(samples.size() - 1).at())
                        .toSeconds()
                / 3600.0;
        assertThat(hours).isBetween(0.4, 2.0);
        assertThat(run(battery).meter().ampHours()).isBetween(20.0, 210.0);
        assertThat(run(battery).meter().lampAt()).isNull();
        assertThat(ringing("T-6")).isEmpty();
    }
}
