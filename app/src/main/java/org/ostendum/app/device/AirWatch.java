package org.ostendum.app.device;

import java.util.List;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.app.alarm.PollAlarms;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.alarm.AirAlarms;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.rulebook.Rules;
import org.springframework.stereotype.Component;

/** Watches the air of each room while batteries charge. */
@Component
class AirWatch {
    private static final List<AlarmKind> KINDS = List.of(AlarmKind.GAS_STOP, AlarmKind.GAS_HIGH, AlarmKind.FAN_OFF);

    private final DeviceStatuses statuses;
    private final ChargeWatch charges;
    private final BatteryStates batteryStates;
    private volatile Rules rules = Rules.standard();

    AirWatch(DeviceStatuses statuses, ChargeWatch charges, BatteryStates batteryStates) {
        this.statuses = statuses;
        this.charges = charges;
        this.batteryStates = batteryStates;
    }

    /** The site's rules as they are now. */
    void learn() {
        rules = batteryStates.rulesFor(null);
    }

    void judge(List<Device> news, PollAlarms alarmsFound) {
        for (Device device : news) {
            Long room = device.roomId();
            if (device.kind() == Device.Kind.AIR && room != null) {
                statuses.air(room)
                        .ifPresent(air -> alarmsFound.add(
                                KINDS,
                                device.name(),
                                AirAlarms.of(device.name(), air, charges.charging(), rules),
                                new Belongs(null, null, room)));
            }
        }
    }
}
