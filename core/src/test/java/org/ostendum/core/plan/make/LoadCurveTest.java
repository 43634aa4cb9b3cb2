package org.ostendum.core.plan.make;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class LoadCurveTest {
    private static final int MINUTES = 400;
    private static final double MOST = 20;

    private final double[] minutes = new double[MINUTES];
    private final LoadCurve curve = new LoadCurve(MOST, MINUTES);

    private void add(int from, int until, double much) {
        for (int minute = from; minute < until; minute++) {
            minutes[minute] += much;
        }
        curve.add(60L * from, 60L * until, much);
    }

    /** Gone through minute by minute. */
    private long fullUntil(int from, int until, double much) {
        for (int minute = until - 1; minute >= from; minute--) {
            if (minutes[minute] + much > MOST + 1e-6) {
                return 60L * (minute + 1);
            }
        }
        return -1;
    }

    @Test
    void tellsTheLastMinuteWithoutRoomWhateverWasTakenAndGivenBack() {
        Random chance = new Random(7);
        for (int i = 0; i < 400; i++) {
            int from = chance.nextInt(MINUTES - 1);
            int until = from + 1 + chance.nextInt(MINUTES - from - 1);
            double much = chance.nextInt(12);
            add(from, until, much);
            int asked = chance.nextInt(MINUTES - 1);
            int end = asked + 1 + chance.nextInt(MINUTES - asked - 1);
            assertThat(curve.fullUntil(60L * asked, 60L * end, 6)).isEqualTo(fullUntil(asked, end, 6));
            if (chance.nextInt(5) > 0) {
                add(from, until, -much);
            }
        }
    }

    @Test
    void whatIsMoreThanAllOfItNeverHasRoom() {
        assertThat(curve.fullUntil(0, 60, MOST + 1)).isEqualTo(Long.MAX_VALUE);
        assertThat(new LoadCurve(null, MINUTES).fullUntil(0, 60, 1e9)).isEqualTo(-1);
    }
}
