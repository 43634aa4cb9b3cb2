package org.ostendum.app.repair;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.BridgeAlarm;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.state.BatteryState;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Rings when the date comes until which a cell may stay bridged, and falls quiet when the cell is renewed. Practice {@code cell.jumper}. */
@Component
public class BridgeDates {
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final Ledger ledger;
    private final AlarmService alarms;

    BridgeDates(Batteries batteries, BatteryStates batteryStates, Ledger ledger, AlarmService alarms) {
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.ledger = ledger;
        this.alarms = alarms;
    }

    /** Asks only batteries of which a bridge was ever written down. */
    @Scheduled(fixedDelayString = "${ostendum.bridges.every}")
    public void look() {
        Set<Long> everBridged = ledger.batteriesWith(EntryKind.CELL_BRIDGED);
        List<Battery> asked = batteries.all().stream()
                .filter(b -> everBridged.contains(b.id()))
                .toList();
        Map<Long, BatteryState> states = batteryStates.statesOf(asked);
        Set<String> ringing = new HashSet<>();
        for (Battery battery : asked) {
            BatteryState state = Objects.requireNonNull(states.get(battery.id()));
            BridgeAlarm.of(battery.code(), state).ifPresent(alarm -> {
                ringing.add(alarm.about());
                alarms.ring(alarm, new Belongs(battery.id(), null, null));
            });
        }
        alarms.quiet(AlarmKind.BRIDGED_TOO_LONG, ringing);
    }
}
