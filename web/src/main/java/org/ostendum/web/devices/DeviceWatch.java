package org.ostendum.web.devices;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
        long now = clock.nanos();
        Map<String, List<Alarm>> alarms = Silence.of(
                        devices.stream()
                                .map(d -> new Silence.Unheard(d.name(), d.line(), hearings.silentFor(d, now)))
                                .toList(),
                        hearings.patience())
                .stream()
                .collect(Collectors.groupingBy(Alarm::about));
        for (Device device : devices) {
            judged.add(
                    List.of(AlarmKind.NOT_HEARD),
                    device.name(),
                    alarms.getOrDefault(device.name(), List.of()),
                    new Belongs(device.batteryId(), device.chargerId(), device.roomId()));
            judged.add(
                    List.of(AlarmKind.LINE_SILENT),
                    device.line(),
                    alarms.getOrDefault(device.line(), List.of()),
                    new Belongs(null, null, null));
        }
    }
}
