package org.ostendum.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ostendum.core.device.ChargerStatus.State;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

/** What a device says is believed within the bounds of what can be. */
class StatusBoundsTest {
    private static ChargerStatus charger(State state, Trouble trouble) {
        return new ChargerStatus(
                7, state, trouble, Volts.of(41.9), new Amperes(96), AmpHours.of(288), 12_345, 78, Duration.ofHours(3));
    }

    private static int[] with(int[] registers, int at, int value) {
        int[] other = registers.clone();
        other[at] = value;
        return other;
    }

    @ParameterizedTest
    @EnumSource(State.class)
    void aChargersStateIsReadBack(State state) {
        Trouble trouble = state == State.TROUBLE ? Trouble.LOCKOUT : Trouble.NONE;
        assertThat(ChargerStatus.of(charger(state, trouble).registers())).contains(charger(state, trouble));
        assertThat(state.isCharging())
                .isEqualTo(Arrays.asList(State.BULK, State.ABSORPTION, State.FINISH, State.EQUALISING)
                        .contains(state));
        assertThat(state.isLampLit()).isEqualTo(state == State.DONE || state == State.KEEPING);
    }

    @ParameterizedTest
    @EnumSource(Trouble.class)
    void troubleAndItsStateGoTogether(Trouble trouble) {
        boolean none = trouble == Trouble.NONE;
        assertThat(ChargerStatus.of(charger(State.TROUBLE, trouble).registers()).isEmpty())
                .isEqualTo(none);
        assertThat(ChargerStatus.of(charger(State.BULK, trouble).registers()).isPresent())
                .isEqualTo(none);
    }

    /** By register: the mark, state, trouble, volts, amperes. */
    @ParameterizedTest
    @CsvSource({
        "0, 1, false",
        "2, 9, false",
        "3, 4, false",
        "4, 20000, true",
        "4, 20001, false",
        "5, 10000, true",
        "5, 10001, false"
    })
    void aChargerBeyondItsBoundsIsNotBelieved(int register, int value, boolean believed) {
        int[] sent = with(charger(State.BULK, Trouble.NONE).registers(), register, value);
        assertThat(ChargerStatus.of(sent).isPresent()).isEqualTo(believed);
    }

    @Test
    void tooFewOrTooManyRegistersAreAnotherDevice() {
        int[] sent = charger(State.BULK, Trouble.NONE).registers();
        assertThat(ChargerStatus.of(Arrays.copyOf(sent, sent.length - 1))).isEmpty();
        assertThat(TagStatus.of(sent)).isEmpty();
        assertThat(AirStatus.of(sent)).isEmpty();
        assertThat(CartStatus.of(sent)).isEmpty();
    }

    /** Volts, amperes, degrees as registers: hundredths and tenths, two's complement. */
    @ParameterizedTest
    @CsvSource({
        "4, 20000, true",
        "4, 20001, false",
        "5, 30000, true",
        "5, 30001, false",
        "5, 35536, true",
        "5, 35535, false",
        "6, 1000, true",
        "6, 1001, false",
        "6, 65136, true",
        "6, 65135, false",
        "7, 1, true",
        "7, 2, false"
    })
    void aTagBeyondItsBoundsIsNotBelieved(int register, int value, boolean believed) {
        TagStatus tag = new TagStatus(7, 4711, Volts.of(36), -12.5, Celsius.of(29), false);
        assertThat(TagStatus.of(tag.registers())).contains(tag);
        assertThat(TagStatus.of(with(tag.registers(), register, value)).isPresent())
                .isEqualTo(believed);
    }

    @ParameterizedTest
    @CsvSource({
        "2, 40000, true",
        "2, 40001, false",
        "4, 700, true",
        "4, 701, false",
        "4, 65136, true",
        "4, 65135, false"
    })
    void airBeyondItsBoundsIsNotBelieved(int register, int value, boolean believed) {
        AirStatus air = new AirStatus(7, 12_000, true, Celsius.of(21));
        assertThat(AirStatus.of(air.registers())).contains(air);
        assertThat(air.fraction()).isEqualTo(0.012);
        assertThat(AirStatus.of(with(air.registers(), register, value)).isPresent())
                .isEqualTo(believed);
        assertThat(new AirStatus(7, 50_000, true, Celsius.of(21)).registers()[2])
                .isEqualTo(40_000);
    }

    @Test
    void aCartWithMoreThanItsTankIsNotBelieved() {
        CartStatus cart = new CartStatus(7, 90_000, 400, 1_000_000);
        assertThat(CartStatus.of(cart.registers())).contains(cart);
        assertThat(CartStatus.of(new CartStatus(7, 90_000, 400, 1_000_001).registers()))
                .isEmpty();
    }
}
