package org.ostendum.app.device;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.app.alarm.PollAlarms;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.Silence;
import org.springframework.stereotype.Component;

/** One poll: asks every device, follows what makes sense, judges. All of it in memory: a database that is away holds up nothing. */
@Component
class DeviceWatch {
    private final PollCycle cycle;
    private final DeviceClock clock;
    private final DeviceStatuses statuses;
    private final ChargeWatch charges;
    private final AirWatch airs;
    private volatile List<Device> known = List.of();

    DeviceWatch(PollCycle cycle, DeviceClock clock, DeviceStatuses statuses, ChargeWatch charges, AirWatch airs) {
        this.cycle = cycle;
        this.clock = clock;
        this.statuses = statuses;
        this.charges = charges;
        this.airs = airs;
    }

    /** @param devices to be listened to from the next round on */
    void know(List<Device> devices) {
        known = List.copyOf(devices);
    }

    PollAlarms listen() {
        List<Device> devices = known;
        List<Device> news = cycle.ask(devices);
        PollAlarms alarmsFound = new PollAlarms();
        silent(devices, alarmsFound);
        charges.follow(news, devices, alarmsFound);
        airs.judge(news, alarmsFound);
        return alarmsFound;
    }

    /** A charger and its tag go by one name: it is silent when one of them is. */
    private void silent(List<Device> devices, PollAlarms alarmsFound) {
        long now = clock.nanos();
        Map<String, List<Alarm>> alarms = Silence.of(
                        devices.stream()
                                .map(d -> new Silence.Unheard(d.name(), d.line(), statuses.silentFor(d, now)))
                                .toList(),
                        statuses.patience())
                .stream()
                .collect(Collectors.groupingBy(Alarm::about));
        for (Device device : devices) {
            alarmsFound.add(
                    List.of(AlarmKind.NOT_HEARD),
                    device.name(),
                    alarms.getOrDefault(device.name(), List.of()),
                    new Belongs(device.batteryId(), device.chargerId(), device.roomId()));
            alarmsFound.add(
                    List.of(AlarmKind.LINE_SILENT),
                    device.line(),
                    alarms.getOrDefault(device.line(), List.of()),
                    new Belongs(null, null, null));
        }
    }
}
