package org.ostendum.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.device.ChargerStatus.State;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

class BlocksTest {
    private static final ChargerStatus FINISHING = new ChargerStatus(
            65_000,
            State.FINISH,
            Trouble.NONE,
            Volts.of(46.85),
            new Amperes(24.2),
            AmpHours.of(412.3),
            123_456_789,
            70_001,
            Duration.ofHours(7));

    @Provide
    Arbitrary<ChargerStatus> chargers() {
        Arbitrary<State> states = Arbitraries.of(State.class).filter(s -> s != State.TROUBLE);
        return Combinators.combine(
                        states,
                        Arbitraries.integers().between(0, 20_000),
                        Arbitraries.integers().between(0, 10_000),
                        Arbitraries.integers().between(0, 100_000),
                        Arbitraries.longs().between(0, 4_000_000_000L),
                        Arbitraries.integers().between(0, 2_592_000))
                .as((state, volts, amps, ampHours, energy, seconds) -> new ChargerStatus(
                        seconds & 0xFFFF,
                        state,
                        Trouble.NONE,
                        Volts.of(volts / 100.0),
                        new Amperes(amps / 10.0),
                        new AmpHours(ampHours),
                        energy,
                        seconds,
                        Duration.ofSeconds(seconds)));
    }

    @Property
    void whatAChargerSaysComesOverWhole(@ForAll("chargers") ChargerStatus status) {
        assertThat(ChargerStatus.of(status.registers())).contains(status);
    }

    @Test
    void whatTagsAirAndCartSayComesOverWhole() {
        TagStatus tag = new TagStatus(7, 70_000, Volts.of(37.21), -120.5, Celsius.of(-4.5), true);
        AirStatus air = new AirStatus(9, 12_400, true, Celsius.of(-3.2));
        CartStatus cart = new CartStatus(11, 1_234_567, 800, 98_000);
        HandOrder order = new HandOrder(HandOrder.Act.PLUG, 499, 70_000, 18, 6000, 1140, 1285, 650, 0, 1200, 0);

        assertThat(TagStatus.of(tag.registers())).contains(tag);
        assertThat(AirStatus.of(air.registers())).contains(air);
        assertThat(CartStatus.of(cart.registers())).contains(cart);
        assertThat(HandOrder.of(order.registers())).contains(order);
    }

    @Test
    void aBlockOfAnotherDeviceIsNotDecoded() {
        int[] tag = new TagStatus(7, 3, Volts.of(37), 0, Celsius.of(20), false).registers();

        assertThat(ChargerStatus.of(Arrays.copyOf(tag, ChargerStatus.LENGTH))).isEmpty();
        assertThat(ChargerStatus.of(new int[0])).isEmpty();
        assertThat(ChargerStatus.of(new int[ChargerStatus.LENGTH])).isEmpty();
    }

    @Test
    void figuresThatCannotBeAreNotDecoded() {
        assertThat(spoilt(2, State.values().length)).as("state").isEmpty();
        assertThat(spoilt(3, 1)).as("trouble beside a charge").isEmpty();
        assertThat(spoilt(4, 20_001)).as("volts").isEmpty();
        assertThat(spoilt(5, 10_001)).as("amperes").isEmpty();
        assertThat(spoilt(6, 0x7FFF)).as("ampere-hours").isEmpty();
        assertThat(spoilt(12, 0xFFFF)).as("running").isEmpty();
        assertThat(spoilt(1, 3)).as("only the beat").isPresent();
    }

    private static java.util.Optional<ChargerStatus> spoilt(int at, int value) {
        int[] words = FINISHING.registers();
        words[at] = value;
        return ChargerStatus.of(words);
    }

    @Test
    void rustleIsNeverTakenForADoneCharge() {
        Random random = new Random(77);
        long done = 0;
        for (int i = 0; i < 200_000; i++) {
            int[] words = random.ints(ChargerStatus.LENGTH, 0, 65_536).toArray();
            done += ChargerStatus.of(words).isPresent() ? 1 : 0;
        }
        assertThat(done).isZero();
    }

    /** A hand's order that no hand could give is not carried out. */
    @ParameterizedTest
    @CsvSource({
        "18, 6000, 650, true",
        "0, 6000, 650, false",
        "1, 6000, 650, true",
        "144, 6000, 650, true",
        "145, 6000, 650, false",
        "18, 0, 650, false",
        "18, 6000, 950, true",
        "18, 6000, 951, false"
    })
    void anOrderOutOfBoundsIsNone(int cells, int capacity, int missing, boolean sound) {
        HandOrder order =
                new HandOrder(HandOrder.Act.PLUG, 499, 70_000, cells, capacity, 1140, 1285, missing, 0, 1200, 0);
        assertThat(HandOrder.of(order.registers()).isPresent()).isEqualTo(sound);
    }

    @Test
    void anOrderWithoutItsMarkIsNone() {
        int[] registers = HandOrder.of(HandOrder.Act.FAN_ON, 0).registers();
        assertThat(HandOrder.of(registers)).isPresent();
        registers[0]++;
        assertThat(HandOrder.of(registers)).isEmpty();
    }
}
