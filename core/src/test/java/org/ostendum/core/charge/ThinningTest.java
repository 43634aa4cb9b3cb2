package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

class ThinningTest {
    private static final Instant START = Instant.parse("2026-05-04T16:00:00Z");
    private static final Duration QUARTER = Duration.ofMinutes(15);

    private static ChargeSample sample(long seconds, double volts, double amps, double celsius) {
        return new ChargeSample(START.plusSeconds(seconds), Volts.of(volts), new Amperes(amps), Celsius.of(celsius));
    }

    @ParameterizedTest
    @CsvSource({
        "5, 40, 90, 30, false",
        "60, 40, 90, 30, true",
        "59, 40, 90, 30, false",
        "5, 40.17, 90, 30, false",
        "5, 40.19, 90, 30, true",
        "5, 40, 83.9, 30, true",
        "5, 40, 90, 30.4, false",
        "5, 40, 90, 30.5, true"
    })
    void oneAMinuteAndWhateverHasMoved(long seconds, double volts, double amps, double celsius, boolean news) {
        assertThat(Thinning.isNews(sample(0, 40, 90, 30), sample(seconds, volts, amps, celsius), 18, 600))
                .isEqualTo(news);
        assertThat(Thinning.isNews(null, sample(seconds, volts, amps, celsius), 18, 600))
                .isTrue();
    }

    private static List<ChargeSample> aCharge(long seed) {
        Random random = new Random(seed);
        List<ChargeSample> samples = new ArrayList<>();
        for (int minute = 0; minute < 8 * 60; minute++) {
            samples.add(sample(
                    60L * minute, 36 + 10 * random.nextDouble(), 100 * random.nextDouble(), 20 + random.nextInt(30)));
        }
        return samples;
    }

    @Property(tries = 50)
    void noExtremeIsLostAndNothingIsMadeUp(@ForAll long seed) {
        List<ChargeSample> all = aCharge(seed);
        List<ChargeSample> kept = Thinning.fold(all, QUARTER);

        assertThat(all).containsAll(kept);
        assertThat(kept).hasSizeLessThanOrEqualTo(7 * 32).isSortedAccordingTo(Comparator.comparing(ChargeSample::at));
        assertThat(kept.stream().map(ChargeSample::volts).max(Comparator.naturalOrder()))
                .isEqualTo(all.stream().map(ChargeSample::volts).max(Comparator.naturalOrder()));
        assertThat(kept.stream().map(ChargeSample::volts).min(Comparator.naturalOrder()))
                .isEqualTo(all.stream().map(ChargeSample::volts).min(Comparator.naturalOrder()));
        assertThat(kept.stream().mapToInt(s -> s.celsius().tenths()).max())
                .isEqualTo(all.stream().mapToInt(s -> s.celsius().tenths()).max());
        assertThat(Thinning.fold(kept, QUARTER))
                .as("folding again changes nothing")
                .isEqualTo(kept);
    }
}
