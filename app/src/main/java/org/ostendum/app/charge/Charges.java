package org.ostendum.app.charge;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Written;
import org.ostendum.core.equalise.LowCurrent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.OnCharge;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Charges on chargers as people begin and end them. */
@Service
public class Charges {
    private final ChargeRuns runs;
    private final Chargers chargers;
    private final BatteryStates batteryStates;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Charges(
            ChargeRuns runs,
            Chargers chargers,
            BatteryStates batteryStates,
            Clock clock,
            ApplicationEventPublisher events) {
        this.runs = runs;
        this.chargers = chargers;
        this.batteryStates = batteryStates;
        this.clock = clock;
        this.events = events;
    }

    /** Whatever was written: a charge runs on the charger over the battery's slot while the battery's state says that it charges. */
    @EventListener
    void written(Written written) {
        Battery battery = written.battery();
        BatteryState state = batteryStates.stateOf(battery);
        OnCharge running = state.onCharge();
        if (running == null) {
            Instant ended = state.charging().turned();
            end(battery, ended == null ? clock.instant() : ended);
        } else if (runs.openOf(battery.id()).isEmpty()) {
            begin(battery, chargers.usualOf(battery).orElse(null), running.kind(), running.since());
        }
    }

    /** @param chargerId null where nobody has said which */
    public void begin(Battery battery, @Nullable Long chargerId, ChargeKind kind) {
        begin(battery, chargerId, kind, clock.instant());
    }

    private void begin(Battery battery, @Nullable Long chargerId, ChargeKind kind, Instant at) {
        @Nullable LowCurrent low = lowCurrent(battery, kind);
        @Nullable Double amperes = low == null ? null : (Double) low.amperes().amperes();
        @Nullable Duration lasts = low == null ? null : low.atMost();
        runs.begin(battery.id(), chargerId, kind, at, amperes, lasts);
        runs.openOf(battery.id()).ifPresent(run -> events.publishEvent(new CurrentOn(run)));
    }

    private @Nullable LowCurrent lowCurrent(Battery battery, ChargeKind kind) {
        return switch (kind) {
            case EQUALISE -> LowCurrent.toEqualise(battery.type().model());
            case SULFATED -> LowCurrent.againstSulfate(battery.type().model(), batteryStates.rulesFor(battery));
            default -> null;
        };
    }

    public void end(Battery battery) {
        end(battery, clock.instant());
    }

    private void end(Battery battery, Instant at) {
        runs.openOf(battery.id()).ifPresent(run -> {
            if (run.chargerId() != null) {
                events.publishEvent(new CurrentOff(battery.id(), run.chargerId()));
            }
            runs.end(battery.id(), at.isBefore(run.begunAt()) ? clock.instant() : at);
        });
    }
}
