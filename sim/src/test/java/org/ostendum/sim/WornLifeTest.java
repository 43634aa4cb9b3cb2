package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ostendum.core.life.LifeForecast;

/** Forecasts of the month of replacement at a chance moment of a life, on seeds that nothing was tuned on. */
class WornLifeTest {
    private static final int LIVES = 400;

    private record Told(double inside, double error) {}

    private static Told told(int testEvery) {
        Random random = new Random(8_181);
        int inside = 0;
        List<Double> errors = new ArrayList<>();
        for (int i = 0; i < LIVES; i++) {
            WornLife life = WornLife.live(500_000L + i, testEvery);
            double now = life.ended() * random.nextDouble();
            double part = life.stress().partAYear(WornLife.CYCLES);
            LifeForecast forecast = LifeForecast.of(now, part, part, life.testsUntil(now));
            double left = life.ended() - now;
            inside += left >= forecast.quantile(0.1) && left <= forecast.quantile(0.9) ? 1 : 0;
            errors.add(Math.abs(forecast.likely() - left));
        }
        Collections.sort(errors);
        return new Told(inside / (double) LIVES, errors.get(LIVES / 2));
    }

    /** Aim: 75 to 85 of 100 lie within what is told as 80 of 100. */
    @Test
    void eightOfTenEndWhenTheyAreSaidTo() {
        Told tested = told(12);
        Told never = told(0);
        assertThat(tested.inside()).isBetween(0.75, 0.85);
        assertThat(never.inside()).isBetween(0.75, 0.85);
        assertThat(tested.error()).isLessThan(never.error());
    }

    @Test
    void theSameSeedIsTheSameLife() {
        assertThat(WornLife.live(7, 12)).isEqualTo(WornLife.live(7, 12));
        assertThat(WornLife.live(7, 12).ended()).isBetween(0.5, 20.0);
    }
}
