package org.ostendum.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRun.Meter;
import org.ostendum.core.alarm.ChargeAlarms;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.Thinning;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;

/**
 * Follows one charge by what its charger says. Time is the charger's own, laid against ours once, so that a correction of
 * our clock moves nothing; what it says once and not again, of its lamp or its count of charges, is not believed.
 */
final class ChargeFollower {
    private static final Duration SLACK = Duration.ofSeconds(90);
    private static final double DRIFT = 0.1;
    private static final Duration HEARD_FROM_THE_START = Duration.ofMinutes(20);

    private final ExpectedCharge facts;
    private final double speed;
    private ChargeRun run;
    private @Nullable ChargeSample kept;
    private @Nullable ChargeSample fresh;
    private boolean changed;
    private @Nullable Integer otherCount;
    private boolean lampSeen;
    private @Nullable DatedStatus<ChargerStatus> before;
    private @Nullable Idle idle;

    /** Without current, by the clock that never jumps. */
    private record Idle(ChargerStatus.State state, long since) {}

    /** @param speed of our clock against the one that never jumps */
    ChargeFollower(ChargeRun run, ExpectedCharge facts, double speed) {
        this.run = run;
        this.facts = facts;
        this.speed = speed;
    }

    ExpectedCharge facts() {
        return facts;
    }

    synchronized ChargeRun run() {
        return run;
    }

    /** @param celsius of the battery's electrolyte; null where no tag measures it */
    synchronized void hear(DatedStatus<ChargerStatus> heard, @Nullable Celsius celsius) {
        ChargerStatus status = heard.status();
        idle(heard);
        if ((status.state().isCharging() || status.state().isLampLit()) && isThisCharge(heard)) {
            if (fits(heard)) {
                follow(status, celsius);
            }
            before = heard;
        }
    }

    private void idle(DatedStatus<ChargerStatus> heard) {
        ChargerStatus.State state = heard.status().state();
        if (state != ChargerStatus.State.WAITING && state != ChargerStatus.State.EMPTY) {
            idle = null;
        } else if (idle == null || idle.state() != state) {
            idle = new Idle(state, heard.nanos());
        }
    }

    /** Another count than before is believed when it is said twice; then the charger has begun anew. */
    private boolean isThisCharge(DatedStatus<ChargerStatus> heard) {
        ChargerStatus status = heard.status();
        Integer known = run.meter().starts();
        if (known != null && known == status.starts()) {
            otherCount = null;
            return true;
        }
        if (!status.state().isCharging()) {
            // A lamp that was lit before this charge was heard is that of another one.
            return false;
        }
        if (known != null && (otherCount == null || otherCount != status.starts())) {
            otherCount = status.starts();
            return false;
        }
        anchor(heard);
        return true;
    }

    private void anchor(DatedStatus<ChargerStatus> heard) {
        ChargerStatus status = heard.status();
        Instant from = heard.at().minus(status.running());
        DatedStatus<ChargerStatus> last = before;
        boolean first = run.meter().from() == null;
        boolean again = last != null
                && status.running().plus(SLACK).compareTo(last.status().running()) < 0;
        Meter meter = run.meter();
        Double ampHours = meter.ampHours();
        run = run.heard(new Meter(
                status.starts(),
                first || again ? from : meter.from(),
                again ? null : meter.lampAt(),
                ampHours,
                again && ampHours != null ? ampHours : meter.ampHoursBefore(),
                first ? energyBefore(status) : meter.wattHoursBefore(),
                meter.wattHours(),
                meter.hottest()));
        before = null;
        changed = true;
    }

    /** A charge first heard well after it began has drawn nobody knows how much. */
    private static @Nullable Long energyBefore(ChargerStatus status) {
        return status.running().compareTo(HEARD_FROM_THE_START) > 0 ? null : (Long) status.wattHours();
    }

    /** Its clock has gone on by about as much as the one that never jumps. */
    private boolean fits(DatedStatus<ChargerStatus> heard) {
        DatedStatus<ChargerStatus> last = before;
        if (last == null || heard.status().state().isLampLit()) {
            return true;
        }
        double passed = (heard.nanos() - last.nanos()) / 1e9 * speed;
        double told = heard.status().running().toSeconds()
                - (double) last.status().running().toSeconds();
        return Math.abs(told - passed) <= SLACK.toSeconds() * Math.max(1, speed / 20) + DRIFT * passed;
    }

    private void follow(ChargerStatus status, @Nullable Celsius celsius) {
        Meter meter = run.meter();
        Instant from = meter.from();
        if (from == null) {
            return;
        }
        Instant at = from.plus(status.running());
        boolean lit = status.state().isLampLit();
        sample(new ChargeSample(at, status.volts(), status.amperes(), celsius), lit);
        Instant lamp = meter.lampAt() != null ? meter.lampAt() : lit && lampSeen ? at : null;
        changed |= lamp != null && meter.lampAt() == null;
        lampSeen = lit;
        run = run.heard(new Meter(
                meter.starts(),
                from,
                lamp,
                meter.ampHoursBefore() + status.ampHours().ampHours(),
                meter.ampHoursBefore(),
                meter.wattHoursBefore(),
                status.wattHours(),
                hotter(meter.hottest(), celsius)));
    }

    private static @Nullable Integer hotter(@Nullable Integer before, @Nullable Celsius now) {
        if (now == null) {
            return before;
        }
        int degrees = (int) Math.round(now.degrees());
        return before == null ? (Integer) degrees : (Integer) Math.max(before, degrees);
    }

    /** Once its lamp is lit nothing more is put in: what it shows then belongs to no moment of the charge. */
    private void sample(ChargeSample sample, boolean lit) {
        BatteryModel model = facts.battery().type().model();
        double capacity = model.capacity().ampHours();
        boolean later = kept == null || sample.at().isAfter(kept.at());
        if (!lit
                && later
                && sample.isPossible(model.cells(), capacity)
                && Thinning.isNews(kept, sample, model.cells(), capacity)) {
            kept = sample;
            fresh = sample;
            changed = true;
        }
    }

    /** @return a sample worth keeping since the last call; null for none */
    @Nullable
    ChargeSample takeSample() {
        ChargeSample taken = fresh;
        fresh = null;
        return taken;
    }

    /** @return the run if it has changed since the last call */
    synchronized Optional<ChargeRun> takeChanged() {
        boolean was = changed;
        changed = false;
        return was ? Optional.of(run) : Optional.empty();
    }

    ChargeAlarms.Watched watched(ChargerStatus status, @Nullable Celsius celsius, long nanos) {
        Idle now = idle;
        Duration lasts =
                now == null ? Duration.ZERO : Duration.ofMillis(Math.round((nanos - now.since()) / 1e6 * speed));
        return new ChargeAlarms.Watched(
                facts.battery().code(),
                status,
                celsius,
                facts.rules()
                        .celsius(RuleKey.chargeStop(
                                facts.battery().type().model().duty())),
                lasts,
                facts.whole(),
                facts.taken(),
                run.amps() == null,
                facts.rules());
    }
}
