package org.ostendum.web.charging;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.equalise.LowCurrent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.web.devices.CurrentOff;
import org.ostendum.web.devices.CurrentOn;
import org.ostendum.web.state.BatteryStates;
import org.ostendum.web.state.Written;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.ChargeRun;
import org.ostendum.web.store.ChargeRuns;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Rooms;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Charges on chargers as people begin and end them. */
@Service
public class Charges {
    private final ChargeRuns runs;
    private final Rooms rooms;
    private final BatteryStates batteryStates;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Charges(ChargeRuns runs, Rooms rooms, BatteryStates batteryStates, Clock clock, ApplicationEventPublisher events) {
        this.runs = runs;
        this.rooms = rooms;
        this.batteryStates = batteryStates;
        this.clock = clock;
        this.events = events;
    }

    /** What people write down by hand begins and ends a charge as well, on the charger over the battery's slot. */
    @EventListener
    void written(Written written) {
        for (NewEntry entry : written.entries()) {
            if (entry.kind() == EntryKind.CHARGE_END || entry.kind() == EntryKind.DISCHARGE) {
                end(written.battery(), entry.happenedAt());
            } else if (entry.kind() == EntryKind.CHARGE_START
                    && runs.openOf(written.battery().id()).isEmpty()) {
                Battery battery = written.battery();
                begin(
                        battery,
                        rooms.chargerOver(battery.slotId()).orElse(null),
                        ChargeKind.CONVENTIONAL,
                        entry.happenedAt());
            }
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
        runs.openOf(battery.id())
                .map(ChargeRun::chargerId)
                .ifPresent(charger -> events.publishEvent(new CurrentOff(battery.id(), charger)));
        runs.end(battery.id(), at);
    }
}
