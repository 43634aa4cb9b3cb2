package org.ostendum.core.electrolyte;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/** What holds of acid whatever the figures: nothing is made or lost, more is more, there and back is the same. */
class AcidPropertiesTest {
    private static double acidIn(double litres, CorrectedGravity gravity) {
        double fraction = AcidTable.massFraction(gravity);
        return litres * AcidTable.density(fraction) * fraction;
    }

    @Property
    void gravityAndStrengthTurnIntoEachOther(@ForAll @IntRange(min = 10_000, max = 18_000) int tenths) {
        CorrectedGravity gravity = new CorrectedGravity(tenths);
        assertThat(AcidTable.gravity(AcidTable.massFraction(gravity)).tenths()).isCloseTo(tenths, within(1));
    }

    @Property
    void strongerAcidIsHeavier(
            @ForAll @DoubleRange(max = 0.95) double fraction,
            @ForAll @IntRange(min = 5, max = 100) int tenThousandths) {
        assertThat(AcidTable.density(fraction + tenThousandths / 10_000.0)).isGreaterThan(AcidTable.density(fraction));
    }

    /** The acid of the strong one is the acid of the mixture; the masses add up to it. */
    @Property
    void mixingMakesAndLosesNothing(
            @ForAll @DoubleRange(min = 0.1, max = 1000) double litres,
            @ForAll @IntRange(min = 1020, max = 1390) int wanted,
            @ForAll @IntRange(min = 1050, max = 1830) int strong) {
        Assume.that(strong > wanted);
        CorrectedGravity gravity = CorrectedGravity.ofPoints(wanted);
        AcidMixing.Mix mix = AcidMixing.mix(new Litres(litres), gravity, CorrectedGravity.ofPoints(strong));
        double massWanted = litres * AcidTable.density(AcidTable.massFraction(gravity));
        assertThat(mix.waterMass().kilograms() + mix.acidMass().kilograms())
                .isCloseTo(massWanted, within(0.001 * massWanted));
        assertThat(mix.acidMass().kilograms() * AcidTable.massFraction(CorrectedGravity.ofPoints(strong)))
                .isCloseTo(acidIn(litres, gravity), within(0.001 * litres + 1e-6));
        assertThat(mix.kelvins()).isPositive();
    }

    @Property
    void twiceTheVolumeTakesTwiceOfBoth(
            @ForAll @DoubleRange(min = 0.1, max = 500) double litres,
            @ForAll @IntRange(min = 1020, max = 1390) int wanted) {
        CorrectedGravity gravity = CorrectedGravity.ofPoints(wanted);
        CorrectedGravity strong = CorrectedGravity.ofPoints(1400);
        AcidMixing.Mix once = AcidMixing.mix(new Litres(litres), gravity, strong);
        AcidMixing.Mix twice = AcidMixing.mix(new Litres(2 * litres), gravity, strong);
        assertThat(twice.acid().litres()).isCloseTo(2 * once.acid().litres(), within(1e-6 * litres));
        assertThat(twice.water().litres()).isCloseTo(2 * once.water().litres(), within(1e-6 * litres));
    }

    /** What is drawn off takes its acid along; what is added brings enough of it. */
    @Property
    void adjustingBringsTheCellToTheGravityWanted(
            @ForAll @DoubleRange(min = 0.5, max = 20) double cell,
            @ForAll @IntRange(min = 1100, max = 1290) int now,
            @ForAll @IntRange(min = 1, max = 60) int more) {
        CorrectedGravity before = CorrectedGravity.ofPoints(now);
        CorrectedGravity wanted = CorrectedGravity.ofPoints(Math.min(1310, now + more));
        CorrectedGravity strong = CorrectedGravity.ofPoints(1400);
        AcidMixing.Adjustment change = AcidMixing.raise(new Litres(cell), before, wanted, strong);
        double kept = cell - change.drawOff().litres();
        double added = change.add().litres();
        double acid = acidIn(kept, before) + acidIn(added, strong);
        double mass = kept * AcidTable.density(AcidTable.massFraction(before))
                + added * AcidTable.density(AcidTable.massFraction(strong));
        assertThat(AcidTable.gravity(acid / mass).tenths()).isCloseTo(wanted.tenths(), within(15));
    }

    /** Down to the eutectic: beyond it ice gives way to other crystals. */
    @Property
    void strongerAcidFreezesLater(@ForAll @IntRange(min = 1000, max = 1289) int points) {
        double weaker = FreezingPoint.of(CorrectedGravity.ofPoints(points))
                .orElseThrow()
                .degrees();
        double stronger = FreezingPoint.of(CorrectedGravity.ofPoints(points + 1))
                .orElseThrow()
                .degrees();
        assertThat(stronger).isLessThanOrEqualTo(weaker);
    }

    @Property
    void moreAcidTakesMoreSoda(
            @ForAll @DoubleRange(min = 0.01, max = 1000) double litres,
            @ForAll @IntRange(min = 1001, max = 1399) int points) {
        double less = AcidMixing.soda(new Litres(litres), CorrectedGravity.ofPoints(points))
                .kilograms();
        assertThat(AcidMixing.soda(new Litres(litres), CorrectedGravity.ofPoints(points + 1))
                        .kilograms())
                .isGreaterThan(less);
        assertThat(AcidMixing.soda(new Litres(2 * litres), CorrectedGravity.ofPoints(points))
                        .kilograms())
                .isCloseTo(2 * less, within(1e-9 * litres + 1e-9));
    }

    @Property
    void gravityAndRestVoltageTurnIntoEachOther(@ForAll @IntRange(min = 1060, max = 1320) int points) {
        Volts rest = ChargeScale.restVoltage(CorrectedGravity.ofPoints(points));
        assertThat(ChargeScale.gravityAtRest(rest).tenths()).isCloseTo(points * 10, within(10));
    }

    /** Read warm and brought back is what it was; a warmer sample of the same reading is heavier at the reference. */
    @Property
    void correctionGoesWithTheTemperatureAlone(
            @ForAll @IntRange(min = 1050, max = 1320) int points, @ForAll @IntRange(min = -200, max = 590) int tenths) {
        TemperatureCorrection correction = new TemperatureCorrection(Celsius.of(25));
        SpecificGravity read = SpecificGravity.ofPoints(points);
        int here = correction.correct(read, Celsius.of(tenths / 10.0)).tenths();
        int warmer = correction.correct(read, Celsius.of(tenths / 10.0 + 1)).tenths();
        assertThat(warmer - here).isEqualTo(7);
        assertThat(correction.correct(read, Celsius.of(25)).tenths()).isEqualTo(points * 10);
    }
}
