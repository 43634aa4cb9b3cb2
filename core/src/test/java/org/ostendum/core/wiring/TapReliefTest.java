package org.ostendum.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.state.Told;

class TapReliefTest {
    private static final Tap LIGHTS = new Tap("Lights", 1, 2);

    @ParameterizedTest
    @CsvSource({"1, 2, 6, 5, 6", "5, 6, 6, 1, 2", "2, 3, 6, 4, 5", "1, 1, 3, 3, 3"})
    void aTapMovesToAsManyBlocksAtTheOtherEnd(int first, int last, int blocks, int toFirst, int toLast) {
        TapRelief relief = TapRelief.of(new Tap("Lights", first, last), blocks);
        assertThat(relief.canMove()).isTrue();
        assertThat(relief.elsewhere()).isEqualTo(new Tap("Lights", toFirst, toLast));
    }

    @Test
    void aTapOverMoreThanHalfStays() {
        assertThat(TapRelief.of(new Tap("Radio", 1, 4), 6).canMove()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"1, 2, 6", "2, 3, 6", "1, 4, 6", "3, 3, 4", "1, 1, 2", "5, 8, 12"})
    void tappedBlocksChangeWithUntappedOnesAndEachStandsOnce(int first, int last, int blocks) {
        Tap tap = new Tap("Lights", first, last);
        TapRelief relief = TapRelief.of(tap, blocks);
        assertThat(relief.swaps()).allMatch(s -> tap.feedsFrom(s.tapped()) && !tap.feedsFrom(s.other()));
        List<Integer> from = relief.from(blocks);
        assertThat(from).doesNotHaveDuplicates().hasSize(blocks);
        int spared = Math.min(last - first + 1, blocks - (last - first + 1));
        assertThat(from.subList(first - 1, last).stream().filter(block -> !tap.feedsFrom(block)))
                .as("fresh blocks under the tap")
                .hasSize(spared);
    }

    /** Two taps on one pack: every block under one of them changes with one under none, and no block twice. */
    @Test
    void severalTapsAreRelievedInOneJob() {
        List<Tap> taps = List.of(LIGHTS, new Tap("Radio", 2, 3));
        List<TapRelief.Swap> swaps = TapRelief.swaps(taps, 8);
        assertThat(swaps).extracting(TapRelief.Swap::tapped).containsExactly(1, 2, 3);
        assertThat(swaps).extracting(TapRelief.Swap::other).containsExactly(8, 7, 6);
        assertThat(TapRelief.swaps(taps, 4)).containsExactly(new TapRelief.Swap(1, 4));
    }

    private static Round read(double hoursAgo, RoundState state, int tapped, int others) {
        int[] points = new int[24];
        Arrays.fill(points, 0, 8, tapped);
        Arrays.fill(points, 8, 24, others);
        return Told.round(hoursAgo, state, null, points);
    }

    @Test
    void wearIsHowFarTheTappedBlocksFallBehindOnFullCharges() {
        TapWear wear = TapWear.of(
                LIGHTS,
                4,
                List.of(
                        read(900, RoundState.FULL_CHARGE, 1275, 1276),
                        read(500, RoundState.IN_SERVICE, 1150, 1200),
                        read(100, RoundState.FULL_CHARGE, 1262, 1275)));
        assertThat(wear.marks()).hasSize(2);
        assertThat(wear.now().orElseThrow()).isCloseTo(13, within(0.01));
        assertThat(wear.lost()).isCloseTo(12, within(0.01));
    }

    @Test
    void withoutARoundNothingIsSaidOfTheWear() {
        assertThat(TapWear.of(LIGHTS, 4, List.of()).now()).isEmpty();
        assertThat(TapWear.of(LIGHTS, 4, List.of()).lost()).isZero();
    }
}
