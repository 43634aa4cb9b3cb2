package org.ostendum.planner;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** One person is there from five on; shifts begin at six and at seven; a change takes a quarter of an hour. */
class CrewTest {
    private static final long HOUR = 3600;
    private static final long QUARTER = 900;
    private static final long SIX = 6 * HOUR;
    private static final long SEVEN = 7 * HOUR;

    private Crew crew;

    @BeforeEach
    void shiftsAtSixAndSeven() {
        crew = new Crew(TruckRoom.problem(), List.of(shift(SIX), shift(SEVEN)));
    }

    private static WorkAndCharge shift(long start) {
        WorkAndCharge work = new WorkAndCharge("F1\n" + start, false, start, start + HOUR, 100, 10 * HOUR);
        work.mayTake(List.of(new Stock(0, "B1", false, true, 0, 0, 0, List.of(), new BitSet())), List.of());
        return work;
    }

    @Test
    void fourChangesGoIntoTheHourAndAFifthDoesNot() {
        for (int i = 0; i < 4; i++) {
            crew.add(0, SIX, 1);
        }
        assertThat(crew.over()).isZero();
        crew.add(0, SIX, 1);
        assertThat(crew.over()).isPositive();
    }

    @Test
    void onlyOneGoesIntoTheLastQuarter() {
        crew.add(SIX - QUARTER, SIX, 1);
        assertThat(crew.over()).isZero();
        crew.add(SIX - QUARTER, SIX, 1);
        assertThat(crew.over()).isPositive();
    }

    /** Each alone has hands enough; the two shifts together want eight changes in the seven quarters from a quarter past five on. */
    @Test
    void whatOneBeginningTakesTheOtherHasNot() {
        long quarterPastFive = SIX - 3 * QUARTER;
        for (int i = 0; i < 3; i++) {
            crew.add(quarterPastFive, SIX, 1);
        }
        for (int i = 0; i < 4; i++) {
            crew.add(quarterPastFive, SEVEN, 1);
        }
        assertThat(crew.over()).isZero();
        crew.add(quarterPastFive, SEVEN, 1);
        assertThat(crew.over()).isPositive();
    }

    @Test
    void whatIsTakenOffLeavesNothing() {
        for (int i = 0; i < 9; i++) {
            crew.add(i * 700L, SIX, 1);
        }
        for (int i = 0; i < 9; i++) {
            crew.add(i * 700L, SIX, -1);
        }
        assertThat(crew.over()).isZero();
    }
}
