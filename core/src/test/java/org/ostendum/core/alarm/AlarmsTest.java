package org.ostendum.core.alarm;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.charge.TimeToFull.Estimate;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.ChargerStatus.State;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;

class AlarmsTest {
    private static final Celsius LIMIT = Celsius.of(49);
    private static final Estimate EIGHT_HOURS =
            new Estimate(Duration.ofHours(8), Duration.ofHours(7), Duration.ofHours(9), true);

    private static ChargerStatus status(State state, Trouble trouble, double ampHours, Duration running) {
        return new ChargerStatus(
                0, state, trouble, Volts.of(40), new Amperes(20), AmpHours.of(ampHours), 0, 1, running);
    }

    private static List<AlarmKind> alarms(
            ChargerStatus status, @Nullable Celsius celsius, Duration waiting, @Nullable Double taken) {
        return ChargeAlarms.of(new ChargeAlarms.Watched(
                        "T-05", status, celsius, LIMIT, waiting, EIGHT_HOURS, taken, true, Rules.standard()))
                .stream()
                .map(Alarm::kind)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"48.9, 0", "49.0, 1", "60, 1"})
    void fromTheLimitOnItIsTooHot(double celsius, int count) {
        assertThat(alarms(
                        status(State.FINISH, Trouble.NONE, 300, Duration.ofHours(6)),
                        Celsius.of(celsius),
                        Duration.ZERO,
                        null))
                .hasSize(count);
    }

    @ParameterizedTest
    @CsvSource({
        "TROUBLE, LOCKOUT, 0, LOCKOUT",
        "TROUBLE, NO_OUTPUT, 0, NOT_STARTED",
        "TROUBLE, WRONG_VOLTAGE, 0, WRONG_VOLTAGE",
        "WAITING, NONE, 3, NOT_STARTED",
        "EMPTY, NONE, 3, UNPLUGGED"
    })
    void oneThatDoesNotStartSaysWhy(State state, Trouble trouble, int minutes, AlarmKind kind) {
        assertThat(alarms(status(state, trouble, 0, Duration.ZERO), null, Duration.ofMinutes(minutes), null))
                .containsExactly(kind);
    }

    @Test
    void aMomentOfWaitingIsNoAlarm() {
        for (State state : List.of(State.WAITING, State.EMPTY)) {
            assertThat(alarms(status(state, Trouble.NONE, 0, Duration.ZERO), null, Duration.ofSeconds(179), null))
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({"600, 0", "601, 1"})
    void anHourBeyondItsPastItHasNoEnd(int minutes, int count) {
        assertThat(alarms(
                        status(State.FINISH, Trouble.NONE, 500, Duration.ofMinutes(minutes)),
                        null,
                        Duration.ZERO,
                        null))
                .hasSize(count);
    }

    @ParameterizedTest
    @CsvSource({"DONE, 399, 1", "DONE, 400, 0", "KEEPING, 399, 1", "FINISH, 399, 0", "EMPTY, 0, 0"})
    void doneWithLessThanWentOutIsTooEarly(State state, double ampHours, int count) {
        assertThat(alarms(status(state, Trouble.NONE, ampHours, Duration.ofHours(5)), null, Duration.ZERO, 400.0))
                .hasSize(count);
    }

    @Test
    void withoutKnowingWhatWentOutNothingIsTooEarly() {
        assertThat(alarms(status(State.DONE, Trouble.NONE, 10, Duration.ofHours(1)), null, Duration.ZERO, null))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"9900, ", "10000, GAS_HIGH", "19999, GAS_STOP", "19900, GAS_HIGH", "20000, GAS_STOP", "40000, GAS_STOP"
    })
    void hydrogenAgainstItsTwoLines(int millionths, @Nullable AlarmKind kind) {
        List<Alarm> alarms =
                AirAlarms.of("Main", new AirStatus(0, millionths, true, Celsius.of(20)), 3, Rules.standard());
        assertThat(alarms).extracting(Alarm::kind).isEqualTo(kind == null ? List.of() : List.of(kind));
    }

    @ParameterizedTest
    @CsvSource({"true, 3, 0", "false, 0, 0", "false, 1, 1"})
    void theFanIsWantedWhileAnythingCharges(boolean on, int charging, int count) {
        assertThat(AirAlarms.of("Main", new AirStatus(0, 100, on, Celsius.of(20)), charging, Rules.standard()))
                .hasSize(count);
    }

    private static List<String> silent(int... seconds) {
        List<Silence.Unheard> devices = new ArrayList<>();
        for (int i = 0; i < seconds.length; i++) {
            devices.add(new Silence.Unheard("C" + (i + 1), "gateway:502", Duration.ofSeconds(seconds[i])));
        }
        devices.add(new Silence.Unheard("T-1", "other:502", Duration.ZERO));
        devices.add(new Silence.Unheard("T-2", "other:502", Duration.ofSeconds(5)));
        return Silence.of(devices, Silence.PATIENCE).stream()
                .map(a -> a.kind() + " " + a.about())
                .toList();
    }

    @Test
    void aDeviceIsMissedAfterAMinuteAndAWholeLineAsOne() {
        assertThat(silent(59, 0)).isEmpty();
        assertThat(silent(60, 0)).containsExactly("NOT_HEARD C1");
        assertThat(silent(60)).containsExactly("NOT_HEARD C1");
        assertThat(silent(60, 29, 300)).containsExactly("NOT_HEARD C1", "NOT_HEARD C3");
        assertThat(silent(60, 30, 45)).containsExactly("LINE_SILENT gateway:502");
        assertThat(silent(59, 59, 59)).isEmpty();
    }
}
