package org.ostendum.app.charging;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.charge.ChargeReadings.PilotReading;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.device.DeviceStatuses;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeHistory;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.EndOfCharge;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.event.Ending;
import org.ostendum.core.judge.Message;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.OnCharge;
import org.springframework.stereotype.Service;

/** One charge as it has gone so far, and what speaks for its end. */
@Service
class ChargeViews {
    private static final Duration YEAR = Duration.ofDays(365);
    static final Duration LOOKED_BACK = Duration.ofDays(120);
    /** No charge lasts longer; what a charger’s clock says may lie a little ahead of ours. */
    private static final Duration LONGEST = Duration.ofDays(5);

    private final BatteryStates batteryStates;
    private final Ledger ledger;
    private final ChargeReadings readings;
    private final ChargeRuns runs;
    private final DeviceStatuses statuses;
    private final ZoneId zone;

    ChargeViews(
            BatteryStates batteryStates,
            Ledger ledger,
            ChargeReadings readings,
            ChargeRuns runs,
            DeviceStatuses statuses,
            ZoneId zone) {
        this.batteryStates = batteryStates;
        this.ledger = ledger;
        this.readings = readings;
        this.runs = runs;
        this.statuses = statuses;
        this.zone = zone;
    }

    /**
     * One charge.
     *
     * @param end null while it runs
     * @param taken Ah out before it; null where nobody knows
     * @param returned Ah in by what was read
     * @param ending how it ends if it ends now
     * @param endNow why it has to be ended at once; null where it may run on
     * @param run on its charger; null where nobody has said which
     * @param status what the charger says; null where it is not heard
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
            Ending ending,
            @Nullable Message endNow,
            @Nullable ChargeRun run,
            @Nullable ChargerStatus status) {
        public boolean isRunning() {
            return end == null;
        }

        /** @return when it was done: what the charger’s lamp said, if it shows full, else now */
        public Instant doneAt(Instant now) {
            Instant lamp = run == null ? null : run.meter().lampAt();
            return isFull() && lamp != null && lamp.isBefore(now) ? lamp : now;
        }

        public boolean isFull() {
            return ending == Ending.FULL;
        }

        /** @return whether its charger says that nothing is plugged in: nobody can tell when it will be full */
        public boolean isUnplugged() {
            return status != null && status.state() == ChargerStatus.State.EMPTY;
        }

        /** @return whether it ends before its end and nothing known to the application says why */
        public boolean isToBeExplained() {
            return ending == Ending.ENDED_EARLY;
        }

        public boolean isPilotDue(Instant now) {
            Instant next = verdict.nextPilot();
            return next != null && !next.isAfter(now);
        }
    }

    /** @return a year of the battery's charges by month, the newest first */
    List<ChargeHistory.Month> months(Battery battery) {
        Instant now = batteryStates.instant();
        return ChargeHistory.of(ledger.charges(battery.id(), now.minus(YEAR)), now, zone);
    }

    /** @param lamp whether the charger's lamp says that it is done */
    Optional<ChargeView> view(Battery battery, boolean lamp) {
        BatteryState state = batteryStates.stateOf(battery);
        boolean charging = state.isCharging();
        @Nullable ChargeRun run = charging ? runs.openOf(battery.id()).orElse(null) : null;
        PastCharges past = PastCharges.of(
                ledger.charges(battery.id(), batteryStates.instant().minus(LOOKED_BACK)));
        @Nullable Instant since = since(state, past);
        if (since == null) {
            return Optional.empty();
        }
        @Nullable Instant end = charging ? null : state.charging().chargeEnded();
        List<ChargeSample> samples = readings.samples(battery.id(), since, end == null ? since.plus(LONGEST) : end);
        Rules rules = batteryStates.rulesFor(battery);
        List<EndOfCharge.Pilot> pilots =
                readings.pilots(battery.id(), since, end == null ? batteryStates.instant() : end).stream()
                        .map(p -> pilot(p, rules))
                        .toList();
        @Nullable Double taken = charging ? past.taken() : null;
        BatteryModel model = battery.type().model();
        boolean lit = lamp || (run != null && run.meter().lampAt() != null);
        @Nullable Double counted = run == null ? null : run.meter().ampHours();
        EndOfCharge.Known known =
                new EndOfCharge.Known(model, state.cells().atWork(), rules, samples, pilots, taken, counted, lit);
        EndOfCharge.Verdict verdict = EndOfCharge.judge(known);
        return Optional.of(new ChargeView(
                battery,
                since,
                end,
                taken,
                known.returned(),
                known.samples(),
                pilots,
                verdict,
                rules.celsius(RuleKey.chargeStop(model.duty())),
                state.endingNow(verdict.full()),
                NextThings.endOfCharge(battery.code(), state).orElse(null),
                run,
                run == null || run.chargerId() == null
                        ? null
                        : statuses.charger(run.chargerId()).orElse(null)));
    }

    /** The charge under way, else the last one that is on record from its beginning to its end. */
    private static @Nullable Instant since(BatteryState state, PastCharges past) {
        OnCharge charge = state.onCharge();
        if (charge != null) {
            return charge.since();
        }
        List<PastCharges.Span> spans = past.spans();
        return spans.isEmpty() ? null : spans.get(spans.size() - 1).from();
    }

    private static EndOfCharge.Pilot pilot(PilotReading reading, Rules rules) {
        return new EndOfCharge.Pilot(
                reading.at(), rules.temperatureCorrection().correct(reading.gravity(), reading.temperature()));
    }
}
