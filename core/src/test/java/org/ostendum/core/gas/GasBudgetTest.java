package org.ostendum.core.gas;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CubicMetres;

class GasBudgetTest {
    private static final Instant NOW = Instant.parse("2026-03-02T20:00:00Z");
    private static final Celsius ROOM = Celsius.of(20);

    private static GasBudget.Source source(String battery, double amperes, int fromHour, int untilHour) {
        return new GasBudget.Source(
                battery,
                18,
                new Amperes(amperes),
                NOW.plus(Duration.ofHours(fromHour)),
                NOW.plus(Duration.ofHours(untilHour)));
    }

    private static List<GasBudget.Moment> ahead(double air, double already, GasBudget.Source... sources) {
        return new GasBudget(new CubicMetres(60), new CubicMetres(air), ROOM)
                .ahead(List.of(sources), already, NOW, Duration.ofHours(8));
    }

    /** With everything shut, all the hydrogen that was made is in the room. */
    @Test
    void withTheFanOffItAddsUp() {
        List<GasBudget.Moment> moments = ahead(0, 0, source("T-01", 24, 2, 5), source("T-02", 20, 0, 8));
        double made = 3 * Gassing.hydrogenPerHour(18, new Amperes(24), ROOM).cubicMetres()
                + 8 * Gassing.hydrogenPerHour(18, new Amperes(20), ROOM).cubicMetres();
        assertThat(moments.get(moments.size() - 1).fraction()).isCloseTo(made / 60, within(1e-9));
        assertThat(moments).hasSize(97);
    }

    @Test
    void eachBatterysShareIsItsOwn() {
        List<GasBudget.Moment> moments = ahead(0, 0.002, source("T-01", 24, 6, 8), source("T-02", 24, 0, 1));
        GasBudget.Moment early = moments.get(24);
        assertThat(early.byBattery().get(0)).isZero();
        assertThat(early.byBattery().get(1)).isPositive();
        assertThat(early.byBattery().get(2)).isEqualTo(0.002);
    }

    /** Beside the closed solution of one source under a fan. */
    @Property(tries = 100)
    void itComesToTheClosedSolution(
            @ForAll @DoubleRange(min = 0, max = 400) double air,
            @ForAll @DoubleRange(min = 2, max = 60) double amperes) {
        List<GasBudget.Moment> moments = ahead(air, 0, source("T-01", amperes, 0, 8));
        double exact = Gassing.fraction(
                new CubicMetres(60),
                Gassing.hydrogenPerHour(18, new Amperes(amperes), ROOM),
                new CubicMetres(air),
                Duration.ofHours(8));
        double slack = 0.02 * exact + 1e-6;
        assertThat(moments.get(moments.size() - 1).fraction()).isCloseTo(exact, within(slack));
    }

    @Test
    void theAlarmIsForeseen() {
        List<GasBudget.Moment> moments = ahead(0, 0, source("T-01", 60, 1, 8));
        Instant alarm = GasBudget.reaches(moments, 0.01).orElseThrow();
        assertThat(alarm).isBetween(NOW.plus(Duration.ofHours(2)), NOW.plus(Duration.ofHours(3)));
        assertThat(GasBudget.reaches(ahead(300, 0, source("T-01", 60, 1, 8)), 0.01))
                .isEmpty();
    }
}
