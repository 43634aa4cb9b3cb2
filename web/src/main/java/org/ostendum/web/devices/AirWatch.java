package org.ostendum.web.devices;

import java.util.List;
import org.ostendum.core.alarm.AirAlarms;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.state.BatteryStates;
import org.ostendum.web.store.Alarms.Belongs;
import org.ostendum.web.store.Device;
import org.springframework.stereotype.Component;

/** Watches the air of each room while batteries charge. */
@Component
class AirWatch {
    private static final List<AlarmKind> KINDS = List.of(AlarmKind.GAS_STOP, AlarmKind.GAS_HIGH, AlarmKind.FAN_OFF);

    private final Hearings hearings;
    private final ChargeWatch charges;
    private final BatteryStates batteryStates;
    private volatile Rules rules = Rules.standard();

    AirWatch(Hearings hearings, ChargeWatch charges, BatteryStates batteryStates) {
        this.hearings = hearings;
        this.charges = charges;
        this.batteryStates = batteryStates;
    }

    /** The site's rules as they are now. */
    void learn() {
        rules = batteryStates.rulesFor(null);
    }

    void judge(List<Device> news, Judged judged) {
        for (Device device : news) {
            Long room = device.roomId();
            if (device.kind() == Device.Kind.AIR && room != null) {
                hearings.air(room)
                        .ifPresent(air -> judged.add(
                                KINDS,
                                device.name(),
                                AirAlarms.of(device.name(), air, charges.charging(), rules),
                                new Belongs(null, null, room)));
            }
        }
    }
}
