package org.ostendum.app.charge;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.Thinning;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;

/** Thins what devices read a month ago and more, day by day: of each quarter of an hour the first sample, the last and its extremes. */
@Service
public class SampleThinning {
    private static final Logger LOG = LoggerFactory.getLogger(SampleThinning.class);
    private static final Duration WHOLE_FOR = Duration.ofDays(30);
    private static final Duration DAY = Duration.ofDays(1);
    public static final Duration STRETCH = Duration.ofMinutes(15);

    private final ChargeReadings readings;
    private final Clock clock;

    SampleThinning(ChargeReadings readings, Clock clock) {
        this.readings = readings;
        this.clock = clock;
    }

    /** Never throws: what was not done is done the next time. */
    public void fold() {
        try {
            foldUpTo(clock.instant().minus(WHOLE_FOR).truncatedTo(ChronoUnit.DAYS));
        } catch (DataAccessException e) {
            LOG.warn("Old samples could not be thinned now", e);
        }
    }

    private void foldUpTo(Instant before) {
        Instant day = readings.foldedBefore()
                .or(readings::firstOfDevices)
                .map(at -> at.truncatedTo(ChronoUnit.DAYS))
                .orElse(before);
        while (day.isBefore(before)) {
            fold(day);
            day = day.plus(DAY);
            readings.foldedBefore(day);
        }
    }

    private void fold(Instant day) {
        for (long battery : readings.readByDevices(day, day.plus(DAY))) {
            List<ChargeSample> samples = readings.samples(battery, day, day.plus(DAY));
            List<Instant> kept = Thinning.fold(samples, STRETCH).stream()
                    .map(ChargeSample::at)
                    .toList();
            readings.keepOnly(battery, day, day.plus(DAY), kept);
        }
    }
}
