package org.ostendum.core.alarm;

import java.util.Optional;
import org.ostendum.core.state.BatteryState;

/** A cell was bridged as a stop-gap, and its date has come. Practice {@code cell.jumper}. */
public final class BridgeAlarm {
    private BridgeAlarm() {}

    /** @param battery its code */
    public static Optional<Alarm> of(String battery, BatteryState state) {
        return state.cells().bridged().entrySet().stream()
                .filter(bridge -> !state.asOf().isBefore(bridge.getValue()))
                .findFirst()
                .map(bridge ->
                        Alarm.of(AlarmKind.BRIDGED_TOO_LONG, battery, battery, bridge.getKey(), bridge.getValue()));
    }
}
