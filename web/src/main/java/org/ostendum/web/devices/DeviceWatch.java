package org.ostendum.web.devices;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.Silence;
import org.ostendum.web.store.Alarms.Belongs;
import org.ostendum.web.store.Device;
import org.springframework.stereotype.Component;

/** One round of listening: asks every device, follows what makes sense, judges. All of it in memory: a database that is away holds up nothing. */
@Component
class DeviceWatch {
    private final Round round;
    private final DeviceClock clock;
    private final Hearings hearings;
    private final ChargeWatch charges;
    private final AirWatch airs;
    private volatile List<Device> known = List.of();

    DeviceWatch(Round round, DeviceClock clock, Hearings hearings, ChargeWatch charges, AirWatch airs) {
        this.round = round;
        this.clock = clock;
        this.hearings = hearings;
        this.charges = charges;
        this.airs = airs;
    }

    /** @param devices to be listened to from the next round on */
    void know(List<Device> devices) {
        known = List.copyOf(devices);
    }

    Judged listen() {
        List<Device> devices = known;
        List<Device> news = round.ask(devices);
        Judged judged = new Judged();
        silent(devices, judged);
        charges.follow(news, devices, judged);
        airs.judge(news, judged);
        return judged;
    }

    /** A charger and its tag go by one name: it is silent when one of them is. */
    private void silent(List<Device> devices, Judged judged) {
        Map<String, List<Alarm>> byName = new HashMap<>();
        for (Device device : devices) {
            Duration silence = hearings.silentFor(device, clock.nanos());
            List<Alarm> alarms = byName.computeIfAbsent(device.name(), n -> new ArrayList<>());
            if (silence.compareTo(hearings.patience()) >= 0) {
                Silence.of(device.name(), silence).ifPresent(alarms::add);
            }
            judged.add(
                    List.of(AlarmKind.NOT_HEARD),
                    device.name(),
                    alarms,
                    new Belongs(device.batteryId(), device.chargerId(), device.roomId()));
        }
    }
}
