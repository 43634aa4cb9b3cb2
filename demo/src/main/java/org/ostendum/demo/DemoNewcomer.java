package org.ostendum.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;

/** A battery that came this morning and has no history yet. */
class DemoNewcomer {
    private final Batteries batteries;
    private final Ledger ledger;
    private final BatteryStates batteryStates;
    private final DemoClock clock;
    private final ZoneId zone;

    DemoNewcomer(Batteries batteries, Ledger ledger, BatteryStates batteryStates, DemoClock clock, ZoneId zone) {
        this.batteries = batteries;
        this.ledger = ledger;
        this.batteryStates = batteryStates;
        this.clock = clock;
        this.zone = zone;
    }

    void add(Map<String, Long> persons, Map<String, Long> models) {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, zone);
        long priya = DemoSite.known(persons, "priya");
        long id = batteries.add("A-5", "LM56140", DemoSite.known(models, "Skyrow 12-35"), today.minusMonths(4), today);
        ledger.append(
                id,
                List.of(
                        LedgerEvents.entry(
                                new BatteryEvent.Arrived(now.minus(Duration.ofHours(10)), true),
                                priya,
                                "Came dry-charged."),
                        LedgerEvents.entry(
                                new BatteryEvent.ChargeStarted(
                                        now.minus(DemoJobs.CHARGED_BEFORE), ChargeKind.INITIAL, null),
                                priya,
                                "")));
        batteryStates.refresh(batteries.byId(id).orElseThrow());
    }
}
