package org.ostendum.app.charge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ostendum.app.charge.ChargeReadings.DeviceSample;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.people.People;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.annotation.Transactional;

/** In years to come, so that nothing else of the site lies in those days; undone after each test. */
@Transactional
class SampleThinningTest extends ApplicationTest {
    private static final Instant EVENING = Instant.parse("2041-03-04T21:00:00Z");
    private static final Duration NIGHT = Duration.ofHours(8);

    @Autowired
    private ChargeReadings readings;

    @Autowired
    private Batteries batteries;

    @Autowired
    private People people;

    private long battery() {
        return batteries.byCode("T-26").orElseThrow().id();
    }

    /** A sample a minute from the evening of one day to the morning of the next, as a device reads them. */
    private List<ChargeSample> aNight(Instant from) {
        Random random = new Random(from.getEpochSecond());
        List<ChargeSample> samples = new ArrayList<>();
        for (int minute = 0; minute < NIGHT.toMinutes(); minute++) {
            samples.add(sample(
                    from.plus(Duration.ofMinutes(minute)),
                    38 + 8 * random.nextDouble(),
                    90 * random.nextDouble(),
                    20 + random.nextInt(20)));
        }
        readings.addOfDevices(
                samples.stream().map(s -> new DeviceSample(battery(), s)).toList());
        return samples;
    }

    private static ChargeSample sample(Instant at, double volts, double amperes, double celsius) {
        return new ChargeSample(at, Volts.of(volts), new Amperes(Math.rint(amperes * 10) / 10), Celsius.of(celsius));
    }

    private List<ChargeSample> kept(Instant from) {
        return readings.samples(battery(), from.minus(NIGHT), from.plus(NIGHT).plus(NIGHT));
    }

    private void foldAt(Instant now) {
        readings.foldedBefore(Instant.parse("2041-03-01T00:00:00Z"));
        new SampleThinning(readings, Clock.fixed(now, ZoneOffset.UTC)).fold();
    }

    @Test
    void aChargeOfAMonthAgoKeepsItsShapeAndItsExtremes() {
        List<ChargeSample> all = aNight(EVENING);
        foldAt(EVENING.plus(Duration.ofDays(33)));

        List<ChargeSample> kept = kept(EVENING);
        assertThat(all).containsAll(kept);
        assertThat(kept).hasSizeLessThan(all.size() / 2).hasSizeGreaterThanOrEqualTo(32);
        for (Comparator<ChargeSample> by : List.<Comparator<ChargeSample>>of(
                Comparator.comparing(ChargeSample::volts),
                Comparator.comparing(ChargeSample::amperes),
                Comparator.comparing(ChargeSample::at))) {
            assertThat(by.compare(
                            kept.stream().max(by).orElseThrow(),
                            all.stream().max(by).orElseThrow()))
                    .isZero();
            assertThat(by.compare(
                            kept.stream().min(by).orElseThrow(),
                            all.stream().min(by).orElseThrow()))
                    .isZero();
        }
    }

    @Test
    void whatIsNotAMonthOldStaysWhole() {
        List<ChargeSample> all = aNight(EVENING);
        foldAt(EVENING.plus(Duration.ofDays(29)));
        assertThat(kept(EVENING)).isEqualTo(all);
    }

    @Test
    void whatPeopleReadStays() {
        aNight(EVENING);
        ChargeSample read = sample(EVENING.plusSeconds(7), 41, 40, 25);
        readings.add(battery(), read, people.byLogin("tom").orElseThrow().id());
        foldAt(EVENING.plus(Duration.ofDays(33)));
        assertThat(kept(EVENING)).contains(read);
    }

    @Test
    void eachDayIsThinnedOnceThoughTheApplicationWasAwayForWeeks() {
        aNight(EVENING);
        List<ChargeSample> later = aNight(EVENING.plus(Duration.ofDays(14)));
        foldAt(EVENING.plus(Duration.ofDays(60)));
        List<ChargeSample> first = kept(EVENING);
        assertThat(kept(EVENING.plus(Duration.ofDays(14)))).hasSizeLessThan(later.size() / 2);

        foldAt(EVENING.plus(Duration.ofDays(61)));
        assertThat(kept(EVENING)).isEqualTo(first);
        assertThat(readings.foldedBefore()).contains(Instant.parse("2041-04-04T00:00:00Z"));
    }
}
