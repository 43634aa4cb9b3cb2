package org.ostendum.core.electrolyte;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.OutOfRange;

class AcidTest {
    private static CorrectedGravity points(int points) {
        return CorrectedGravity.ofPoints(points);
    }

    /** Battery acid by weight as printed in general battery references (Vinal), ± 1 percent by weight. */
    @ParameterizedTest
    @CsvSource({
        "1000, 0",
        "1100, 14.3",
        "1150, 20.9",
        "1200, 27.2",
        "1250, 33.4",
        "1280, 36.8",
        "1300, 39.1",
        "1400, 50.0"
    })
    void aGravityIsAPartByWeight(int points, double percent) {
        assertThat(AcidTable.massFraction(points(points)) * 100).isCloseTo(percent, within(1.0));
    }

    @Test
    void gravityAndMassFractionReadBackWithinATenthOfAPoint() {
        for (int points = 1001; points <= 1400; points++) {
            assertThat(AcidTable.gravity(AcidTable.massFraction(points(points))).tenths())
                    .isCloseTo(points * 10, within(1));
        }
    }

    @Test
    void densityRisesWithTheAcid() {
        double before = 0;
        for (double part = 0; part <= 0.96; part += 0.001) {
            double density = AcidTable.density(part);
            assertThat(density).isGreaterThan(before);
            before = density;
        }
        assertThatThrownBy(() -> AcidTable.density(1.2)).isInstanceOf(OutOfRange.class);
    }

    /** One litre of 1.280 wants 0.82 kg of soda. */
    @ParameterizedTest
    @CsvSource({"1, 1280, 0.82", "10, 1280, 8.2", "1, 1000, 0", "5, 1150, 2.1"})
    void sodaForASpill(double litres, int points, double kilograms) {
        assertThat(AcidMixing.soda(new Litres(litres), points(points)).kilograms())
                .isCloseTo(kilograms, within(0.03 * kilograms + 0.001));
    }

    /** Mass and acid of what goes in are those of what comes out. */
    @Test
    void mixingKeepsMassAndAcid() {
        Random random = new Random(3);
        for (int i = 0; i < 500; i++) {
            CorrectedGravity wanted = points(1020 + random.nextInt(370));
            CorrectedGravity strong = points(wanted.points() + 10 + random.nextInt(1820 - wanted.points() - 10));
            Litres volume = new Litres(0.5 + random.nextDouble() * 40);
            AcidMixing.Mix mix = AcidMixing.mix(volume, wanted, strong);
            double mass = volume.litres() * AcidTable.density(AcidTable.massFraction(wanted));
            assertThat(mix.waterMass().kilograms() + mix.acidMass().kilograms()).isCloseTo(mass, within(1e-6 * mass));
            assertThat(mix.acidMass().kilograms() * AcidTable.massFraction(strong))
                    .isCloseTo(mass * AcidTable.massFraction(wanted), within(1e-6 * mass));
            assertThat(mix.kelvins()).isPositive();
        }
    }

    /** Strong acid and water to 1.280 would come to the boil if poured at once. */
    @Test
    void strongAcidHeatsTheMixture() {
        assertThat(AcidMixing.mix(new Litres(10), points(1280), points(1830)).kelvins())
                .isBetween(55.0, 90.0);
        assertThat(AcidMixing.mix(new Litres(10), points(1280), points(1400)).kelvins())
                .isBetween(2.0, 15.0);
    }

    @ParameterizedTest
    @CsvSource({"1280, 1280", "1280, 1200", "1401, 1800", "1280, 1840", "1005, 1400"})
    void whatCannotBeMixedIsRefused(int wanted, int strong) {
        assertThatThrownBy(() -> AcidMixing.mix(new Litres(1), points(wanted), points(strong)))
                .isInstanceOf(OutOfRange.class);
    }

    /** What is drawn off and added leaves the cell at the wanted gravity. */
    @Test
    void anAdjustmentMeetsItsGravity() {
        Random random = new Random(4);
        for (int i = 0; i < 500; i++) {
            CorrectedGravity now = points(1180 + random.nextInt(90));
            CorrectedGravity wanted = points(now.points() + 1 + random.nextInt(1300 - now.points()));
            CorrectedGravity strong = points(1350 + random.nextInt(50));
            AcidMixing.Adjustment change = AcidMixing.raise(new Litres(2), now, wanted, strong);
            double from = AcidTable.massFraction(now);
            double with = AcidTable.massFraction(strong);
            double left = (2 - change.drawOff().litres()) * AcidTable.density(from);
            double added = change.add().litres() * AcidTable.density(with);
            assertThat(AcidTable.gravity((left * from + added * with) / (left + added))
                            .tenths())
                    .isCloseTo(wanted.tenths(), within(2));
        }
    }

    /** A traction cell of 300 Ah with 11 ml for each Ah falls from 1.280 to about 1.140 over 240 Ah. */
    @Test
    void aDischargeTakesAcidAndMakesWater() {
        CorrectedGravity after = AcidBalance.after(new Litres(3.4), points(1280), AmpHours.of(240));
        assertThat(after.points()).isBetween(1125, 1155);
        assertThat(AcidBalance.after(new Litres(4.6), points(1280), AmpHours.of(0))
                        .points())
                .isEqualTo(1280);
        assertThatThrownBy(() -> AcidBalance.after(new Litres(1), points(1280), AmpHours.of(200)))
                .isInstanceOf(OutOfRange.class);
    }

    @Test
    void theMoreIsTakenOutTheLowerTheGravity() {
        int before = 10_000_000;
        for (int out = 0; out <= 300; out += 5) {
            int tenths = AcidBalance.after(new Litres(4.6), points(1280), AmpHours.of(out))
                    .tenths();
            assertThat(tenths).isLessThan(before);
            before = tenths;
        }
    }

    /** Vinal; CRC Handbook. */
    @ParameterizedTest
    @CsvSource({"1000, 0", "1100, -7.7", "1150, -15", "1175, -21", "1200, -27", "1250, -52", "1280, -68", "1300, -70"})
    void freezing(int points, double celsius) {
        assertThat(FreezingPoint.of(points(points)).orElseThrow().degrees()).isCloseTo(celsius, within(0.05));
    }

    @Test
    void aboveTheTableNothingIsSaidOfFreezing() {
        assertThat(FreezingPoint.of(points(1301))).isEmpty();
    }
}
