package org.ostendum.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.capacity.CapacitySums;
import org.ostendum.core.change.ChangeSums;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.gas.Gassing;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.CubicMetres;
import org.ostendum.core.storage.SelfDischarge;
import org.ostendum.core.water.WaterUse;

/** Sums that go one way, and sums that undo each other, whatever the figures. */
class SumPropertiesTest {
    @Property
    void moreCurrentEmptiesSooner(
            @ForAll @DoubleRange(min = 20, max = 1500) double capacity,
            @ForAll @DoubleRange(min = 1, max = 20) double rate,
            @ForAll @DoubleRange(min = 1.06, max = 1.39) double exponent,
            @ForAll @DoubleRange(min = 0.25, max = 2.8) double times) {
        AmpHours size = AmpHours.of(capacity);
        double rated = size.ampHours() / rate;
        Duration lasts = CapacitySums.runTime(size, rate, exponent, new Amperes(rated * times));
        Duration harder = CapacitySums.runTime(size, rate, exponent, new Amperes(rated * times * 1.05));
        assertThat(harder).isLessThan(lasts);
        assertThat(CapacitySums.taken(
                        size, rate, exponent, List.of(new CapacitySums.Load(new Amperes(rated * times), lasts))))
                .isCloseTo(1, within(1e-3));
    }

    @Property
    void whatIsMeasuredAtTheReferenceStaysAsItIs(@ForAll @DoubleRange(min = 1, max = 2000) double measured) {
        AmpHours ampHours = AmpHours.of(measured);
        assertThat(CapacitySums.corrected(ampHours, Duration.ofHours(5), Celsius.of(30), Duty.MOTIVE))
                .isEqualTo(ampHours);
        assertThat(CapacitySums.corrected(ampHours, Duration.ofHours(5), Celsius.of(20), Duty.MOTIVE)
                        .ampHours())
                .isGreaterThanOrEqualTo(ampHours.ampHours());
    }

    @Property
    void moreMissingTakesLongerAndMoreAmperesTakeLess(
            @ForAll @DoubleRange(min = 100, max = 1500) double capacity,
            @ForAll @DoubleRange(min = 0.1, max = 0.85) double part,
            @ForAll @DoubleRange(min = 0.05, max = 0.4) double rate) {
        AmpHours size = AmpHours.of(capacity);
        AmpHours missing = AmpHours.of(capacity * part);
        Amperes current = new Amperes(capacity * rate);
        Duration time = ChargeSums.time(size, missing, 1.12, current);
        assertThat(ChargeSums.time(size, AmpHours.of(capacity * (part + 0.1)), 1.12, current))
                .isGreaterThan(time);
        assertThat(ChargeSums.time(size, missing, 1.12, new Amperes(capacity * rate * 1.1)))
                .isLessThan(time);
    }

    /** After the time it says the room holds what it says; air only ever makes it later. */
    @Property
    void theGasOfARoomAndTheTimeToItUndoEachOther(
            @ForAll @DoubleRange(min = 20, max = 5000) double room,
            @ForAll @DoubleRange(min = 0.05, max = 20) double hydrogen,
            @ForAll @DoubleRange(min = 0, max = 500) double air) {
        CubicMetres size = new CubicMetres(room);
        CubicMetres gas = new CubicMetres(hydrogen);
        CubicMetres fan = new CubicMetres(air);
        Duration still = Gassing.until(0.01, size, gas, new CubicMetres(0)).orElseThrow();
        Gassing.until(0.01, size, gas, fan).ifPresent(until -> {
            assertThat(until).isGreaterThanOrEqualTo(still.minusSeconds(1));
            double slack = 0.0001 + hydrogen / room / 3600;
            assertThat(Gassing.fraction(size, gas, fan, until)).isCloseTo(0.01, within(slack));
        });
        assertThat(Gassing.fraction(size, gas, fan, Duration.ofHours(3)))
                .isLessThanOrEqualTo(Gassing.fraction(size, gas, new CubicMetres(0), Duration.ofHours(3)) + 1e-12);
    }

    @Property
    void waterGoesWithTheOvercharge(
            @ForAll @IntRange(min = 1, max = 72) int cells,
            @ForAll @DoubleRange(min = 1, max = 400) double overcharge) {
        double litres = WaterUse.of(cells, AmpHours.of(overcharge)).litres();
        assertThat(WaterUse.of(2 * cells, AmpHours.of(overcharge)).litres())
                .isCloseTo(2 * litres, within(1e-9 + litres * 1e-6));
        assertThat(WaterUse.of(cells, AmpHours.of(overcharge + 1)).litres()).isGreaterThan(litres);
    }

    @Property
    void standingOnlyLosesAndSoonerWhenWarm(
            @ForAll @IntRange(min = 1150, max = 1300) int points,
            @ForAll @DoubleRange(min = -20, max = 35) double celsius,
            @ForAll @IntRange(min = 1, max = 200) int days) {
        SelfDischarge.Standing cold = new SelfDischarge.Standing(Duty.MOTIVE, 0.5, false, Celsius.of(celsius));
        SelfDischarge.Standing warm = new SelfDischarge.Standing(Duty.MOTIVE, 0.5, false, Celsius.of(celsius + 5));
        CorrectedGravity now = CorrectedGravity.ofPoints(points);
        CorrectedGravity later = SelfDischarge.after(now, cold, Duration.ofDays(days));
        assertThat(later).isLessThanOrEqualTo(now);
        assertThat(SelfDischarge.after(now, cold, Duration.ofDays(days + 1))).isLessThanOrEqualTo(later);
        assertThat(SelfDischarge.after(now, warm, Duration.ofDays(days))).isLessThanOrEqualTo(later);
    }

    /** The pool covers the turn, and one battery fewer would not. */
    @Property
    void thePoolIsAsSmallAsItCanBe(
            @ForAll @IntRange(min = 1, max = 24) int work,
            @ForAll @IntRange(min = 0, max = 48) int charge,
            @ForAll @IntRange(min = 0, max = 48) int cool) {
        int pool = ChangeSums.pool(Duration.ofHours(work), Duration.ofHours(charge), Duration.ofHours(cool));
        assertThat(pool * work).isGreaterThanOrEqualTo(work + charge + cool);
        assertThat((pool - 1) * work).isLessThan(work + charge + cool);
    }

    @Property
    void noNotchHangsStraighterThanTheOneSaid(
            @ForAll @IntRange(min = 150, max = 2500) int eyes,
            @ForAll @IntRange(min = 0, max = 600) int first,
            @ForAll @IntRange(min = 10, max = 200) int step,
            @ForAll @IntRange(min = 1, max = 60) int notches) {
        ChangeSums.Notches best = ChangeSums.notches(eyes, first, step, notches);
        for (int n = 1; n <= notches; n++) {
            assertThat(Math.abs(eyes / 2.0 - (first + (n - 1.0) * step)))
                    .isGreaterThanOrEqualTo(best.offMillimetres() - 0.51);
        }
    }
}
