package org.ostendum.core.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;

class TimeToFullTest {
    private static final AmpHours SIZE = AmpHours.of(600);
    private static final Amperes CHARGER = new Amperes(100);

    private static List<TimeToFull.Past> past(int count, double scatterMinutes) {
        Random random = new Random(3);
        List<TimeToFull.Past> past = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double taken = 250 + 200 * random.nextDouble();
            double minutes = 90 + 0.9 * taken + scatterMinutes * random.nextGaussian();
            past.add(new TimeToFull.Past(taken, Duration.ofSeconds(Math.round(minutes * 60))));
        }
        return past;
    }

    @Test
    void itIsLearnedFromTheBatterysOwnCharges() {
        TimeToFull.Estimate estimate = new TimeToFull(SIZE, CHARGER, past(20, 3)).estimate(400.0);
        assertThat(estimate.isLearned()).isTrue();
        assertThat(estimate.likely()).isBetween(Duration.ofMinutes(446), Duration.ofMinutes(454));
        assertThat(estimate.late().minus(estimate.early())).isLessThan(Duration.ofMinutes(30));
    }

    @Test
    void oneOddChargeDoesNotMoveIt() {
        List<TimeToFull.Past> odd = past(20, 3);
        odd.set(4, new TimeToFull.Past(400, Duration.ofHours(15)));
        odd.set(9, new TimeToFull.Past(300, Duration.ofMinutes(20)));
        assertThat(new TimeToFull(SIZE, CHARGER, odd).estimate(400.0).likely())
                .isBetween(Duration.ofMinutes(440), Duration.ofMinutes(460));
    }

    @Test
    void withoutAPastTheSheetIsAskedAndTheEndsAreWide() {
        TimeToFull.Estimate estimate = new TimeToFull(SIZE, CHARGER, past(3, 3)).estimate(400.0);
        assertThat(estimate.isLearned()).isFalse();
        assertThat(estimate.late().minus(estimate.early())).isGreaterThan(Duration.ofHours(2));
    }

    @Test
    void chargesAllAlikeStillTellHowLong() {
        List<TimeToFull.Past> alike = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            alike.add(new TimeToFull.Past(400, Duration.ofMinutes(450)));
        }
        TimeToFull learned = new TimeToFull(SIZE, CHARGER, alike);
        assertThat(learned.estimate(400.0).likely()).isEqualTo(Duration.ofMinutes(450));
        assertThat(learned.estimate(null).likely()).isEqualTo(Duration.ofMinutes(450));
        assertThat(learned.estimate(500.0).likely()).isGreaterThan(Duration.ofMinutes(450));
    }

    @Property
    void theEndsHoldTheMiddleAndNothingIsLessThanNothing(
            @ForAll @DoubleRange(min = 0, max = 600) double taken,
            @ForAll @DoubleRange(min = 0, max = 40) double scatter) {
        for (int count : new int[] {0, 5, 6, 30}) {
            TimeToFull.Estimate e = new TimeToFull(SIZE, CHARGER, past(count, scatter)).estimate(taken);
            assertThat(e.early()).isLessThanOrEqualTo(e.likely());
            assertThat(e.likely()).isLessThanOrEqualTo(e.late());
            assertThat(e.after(Duration.ofHours(30)).late()).isEqualTo(Duration.ZERO);
        }
    }
}
