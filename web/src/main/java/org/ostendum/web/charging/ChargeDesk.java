package org.ostendum.web.charging;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeHistory;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.charge.EndOfCharge;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.measure.Happenings;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.draw.ChargeCurve;
import org.ostendum.web.draw.ChargePlotter;
import org.ostendum.web.judgement.Bench;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.ChargeReadings;
import org.ostendum.web.store.ChargeReadings.PilotReading;
import org.ostendum.web.store.Ledger;
import org.springframework.stereotype.Service;

/** Puts together one charge as it has gone so far, and what speaks for its end. */
@Service
class ChargeDesk {
    private static final Duration YEAR = Duration.ofDays(365);
    private static final Duration LOOKED_BACK = Duration.ofDays(120);
    private static final int EARLIER = 3;
    private static final double HEIGHT = 330;

    private final Bench bench;
    private final Ledger ledger;
    private final ChargeReadings readings;
    private final ZoneId zone;

    ChargeDesk(Bench bench, Ledger ledger, ChargeReadings readings, ZoneId zone) {
        this.bench = bench;
        this.ledger = ledger;
        this.readings = readings;
        this.zone = zone;
    }

    /**
     * One charge.
     *
     * @param end null while it runs
     * @param taken Ah out before it; null where nobody knows
     * @param returned Ah in by what was read
     * @param curve null before the first reading
     */
    record ChargeView(
            Battery battery,
            Instant since,
            @Nullable Instant end,
            @Nullable Double taken,
            double returned,
            List<ChargeSample> samples,
            List<EndOfCharge.Pilot> pilots,
            EndOfCharge.Verdict verdict,
            Celsius stopsAt,
            @Nullable ChargeCurve curve) {
        public boolean isRunning() {
            return end == null;
        }

        public boolean isPilotDue(Instant now) {
            Instant next = verdict.nextPilot();
            return next != null && !next.isAfter(now);
        }
    }

    /** @return a year of the battery's charges by month, the newest first */
    List<ChargeHistory.Month> months(Battery battery) {
        Instant now = bench.instant();
        return ChargeHistory.of(ledger.chargeLines(battery.id(), now.minus(YEAR)), now, zone);
    }

    /** @param lamp whether the charger's lamp says that it is done */
    Optional<ChargeView> view(Battery battery, boolean lamp) {
        Happenings happened = bench.stateOf(battery).happenings();
        Instant since = happened.chargeStart();
        if (since == null) {
            return Optional.empty();
        }
        Instant filled = happened.filled();
        @Nullable Instant end = happened.isCharging() ? null : filled;
        Instant to = end == null ? bench.instant() : end;
        List<ChargeSample> samples = readings.samples(battery.id(), since, to);
        Rules rules = bench.rulesFor(battery);
        List<EndOfCharge.Pilot> pilots = readings.pilots(battery.id(), since, to).stream()
                .map(p -> pilot(p, rules))
                .toList();
        PastCharges past = ledger.charges(battery.id(), since.minus(LOOKED_BACK));
        @Nullable Double taken = end == null ? past.taken() : null;
        BatteryModel model = battery.type().model();
        EndOfCharge.Known known = new EndOfCharge.Known(model, rules, samples, pilots, taken, lamp);
        return Optional.of(new ChargeView(
                battery,
                since,
                end,
                taken,
                EndOfCharge.returned(known.samples()),
                known.samples(),
                pilots,
                EndOfCharge.judge(known),
                rules.celsius(RuleKey.chargeStop(model.duty())),
                known.samples().isEmpty() ? null : curve(battery, since, known.samples(), past)));
    }

    private static EndOfCharge.Pilot pilot(PilotReading reading, Rules rules) {
        return new EndOfCharge.Pilot(
                reading.at(), rules.temperatureCorrection().correct(reading.gravity(), reading.temperature()));
    }

    private ChargeCurve curve(Battery battery, Instant since, List<ChargeSample> samples, PastCharges past) {
        BatteryModel model = battery.type().model();
        List<ChargePlotter.Course> earlier = past.spans().stream()
                .filter(span -> span.from().isBefore(since))
                .map(span ->
                        new ChargePlotter.Course(span.from(), readings.samples(battery.id(), span.from(), span.to())))
                .filter(course -> !course.samples().isEmpty())
                .toList();
        return ChargePlotter.plot(
                new ChargePlotter.Course(since, samples),
                earlier.subList(Math.max(0, earlier.size() - EARLIER), earlier.size()),
                model.cells(),
                ChargeSums.finishesFrom(model.capacity()).amperes(),
                ChargingDesk.DRAWN_WIDTH,
                HEIGHT);
    }
}
