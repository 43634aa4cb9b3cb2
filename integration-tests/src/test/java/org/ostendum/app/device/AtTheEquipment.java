package org.ostendum.app.device;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.ostendum.app.alarm.Alarms;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.charge.ChargeRun;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.charge.Charges;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.support.EquipmentSite;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.event.ChargeKind;
import org.springframework.beans.factory.annotation.Autowired;

/** What tests of equipment do and see, whether the line to it is real or not. */
abstract class AtTheEquipment {
    @Autowired
    EquipmentSite site;

    @Autowired
    Batteries batteries;

    @Autowired
    Chargers chargers;

    @Autowired
    Charges charges;

    @Autowired
    ChargeRuns runs;

    @Autowired
    ChargeReadings readings;

    @Autowired
    Alarms alarms;

    @Autowired
    DeviceStatuses statuses;

    @AfterEach
    void unplugAll() {
        batteries.all().forEach(charges::end);
    }

    Battery plug(int number) {
        Battery battery = batteries.byCode("T-" + number).orElseThrow();
        charges.begin(battery, charger(battery), ChargeKind.CONVENTIONAL);
        return battery;
    }

    long charger(Battery battery) {
        return chargers.usualOf(battery).orElseThrow();
    }

    ChargeRun run(Battery battery) {
        return runs.openOf(battery.id()).orElseThrow();
    }

    ChargerStatus.State state(Battery battery) {
        return statuses.charger(charger(battery)).map(ChargerStatus::state).orElse(ChargerStatus.State.EMPTY);
    }

    List<ChargeSample> samples(Battery battery) {
        Instant since = run(battery).begunAt();
        return readings.samples(battery.id(), since, since.plus(Duration.ofDays(2)));
    }

    boolean rings(AlarmKind kind, String about) {
        return ringing(about).contains(kind);
    }

    List<AlarmKind> ringing(String about) {
        return alarms.open().stream()
                .filter(a -> a.stands() && a.about().equals(about))
                .map(StandingAlarm::kind)
                .toList();
    }

    List<AlarmKind> ringing() {
        return alarms.open().stream()
                .filter(StandingAlarm::stands)
                .map(StandingAlarm::kind)
                .toList();
    }
}
