package org.ostendum.demo;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.event.BatteryEvent;

/** A car whose lights were left on over the weekend: its battery stood flat, and its own charger no longer senses it. */
class DemoFlatCar {
    static final String BATTERY = "G-14";

    private static final Duration STOOD = Duration.ofHours(30);

    private final Batteries batteries;
    private final Ledger ledger;
    private final BatteryStates batteryStates;
    private final DemoClock clock;

    DemoFlatCar(Batteries batteries, Ledger ledger, BatteryStates batteryStates, DemoClock clock) {
        this.batteries = batteries;
        this.ledger = ledger;
        this.batteryStates = batteryStates;
        this.clock = clock;
    }

    void found(Map<String, Long> persons) {
        Battery battery = batteries.byCode(BATTERY).orElseThrow();
        BatteryEvent.StoodFlat flat = new BatteryEvent.StoodFlat(clock.instant().minus(Duration.ofMinutes(40)), STOOD);
        ledger.append(
                battery.id(),
                List.of(LedgerEvents.entry(
                        flat, DemoSite.known(persons, "ines"), "Its lights were left on over the weekend.")));
        batteryStates.refresh(battery);
    }
}
