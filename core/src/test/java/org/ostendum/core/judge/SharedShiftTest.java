package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.judge.Cases.NOW;
import static org.ostendum.core.judge.Cases.fortnightsAgo;

import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.CorrectedGravity;

/** When many batteries read differently at once it is the hydrometer. */
class SharedShiftTest {
    private static final int ROUNDS = 8;

    /** Rounds each fortnight; the last of them so many points away from the others. */
    private static BatteryCourse course(int last, int points) {
        return new BatteryCourse(IntStream.range(0, ROUNDS)
                .mapToObj(round -> {
                    int tenths = 12_820 + round % 2 * 10 + (round >= ROUNDS - last ? 10 * points : 0);
                    return new BatteryCourse.Mark(
                            fortnightsAgo(ROUNDS - round), new CorrectedGravity(tenths), new CorrectedGravity(tenths));
                })
                .toList());
    }

    private static List<BatteryCourse> room(int moved, int others, int last, int points) {
        return IntStream.range(0, moved + others)
                .mapToObj(battery -> course(last, battery < moved ? points : 0))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "4, 0, 3, -12, true",
        "4, 0, 1, -12, true",
        "4, 0, 3, 12, true",
        "6, 2, 3, -12, true",
        "3, 0, 3, -12, false",
        "5, 2, 3, -12, false",
        "4, 0, 3, -5, false",
        "4, 0, 0, -12, false",
        "4, 0, 7, -12, false"
    })
    void nearlyAllHaveToMoveAndByMoreThanWaterDoes(int moved, int others, int last, int points, boolean told) {
        assertThat(SharedShift.of(room(moved, others, last, points), Instant.EPOCH, NOW)
                        .isPresent())
                .isEqualTo(told);
    }

    @Test
    void itTellsSinceWhenAndByHowMuch() {
        SharedShift shift =
                SharedShift.of(room(6, 2, 3, -12), Instant.EPOCH, NOW).orElseThrow();
        assertThat(shift.points()).isEqualTo(12);
        assertThat(shift.isLower()).isTrue();
        assertThat(shift.batteries()).isEqualTo(6);
        assertThat(shift.of()).isEqualTo(8);
        assertThat(shift.since()).isBetween(fortnightsAgo(4), fortnightsAgo(3));
    }

    @Test
    void whatLowReadingsSayOfWhoMovedWithTheOthersIsDoubted() {
        SharedShift shift =
                SharedShift.of(room(6, 2, 3, -12), Instant.EPOCH, NOW).orElseThrow();
        FindingCode said = FindingCode.BATTERY_UNDERCHARGED;
        Instant lately = fortnightsAgo(1);
        assertThat(shift.explains(said, lately, course(3, -11))).isTrue();
        assertThat(shift.explains(said, lately, course(3, 0))).isFalse();
        assertThat(shift.explains(said, lately, course(3, -25)))
                .as("more than the hydrometer")
                .isFalse();
        assertThat(shift.explains(said, lately, BatteryCourse.NONE))
                .as("of single cells, that compare with no round, the same hydrometer read")
                .isTrue();
        assertThat(shift.explains(said, fortnightsAgo(6), course(3, -11)))
                .as("it had been found before")
                .isFalse();
        assertThat(shift.explains(FindingCode.CELL_DRY, lately, course(3, -11)))
                .as("no hydrometer says that")
                .isFalse();
    }

    /** The hydrometer was found right: what was read since then is so, and nothing of before is held against it. */
    @Test
    void whatIsKnownToBeReadRightlyIsNotTold() {
        List<BatteryCourse> room = room(6, 2, 3, -12);
        SharedShift shift = SharedShift.of(room, Instant.EPOCH, NOW).orElseThrow();
        assertThat(SharedShift.of(room, shift.since(), NOW)).isEmpty();
    }

    /** What was long ago has been looked at, or was not the hydrometer. */
    @Test
    void whatWasLongAgoIsNotTold() {
        assertThat(SharedShift.of(room(6, 0, 3, -12), Instant.EPOCH, NOW.plusSeconds(86_400L * 120)))
                .isEmpty();
    }
}
