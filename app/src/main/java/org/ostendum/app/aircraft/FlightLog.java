package org.ostendum.app.aircraft;

import java.util.List;
import java.util.Optional;
import org.ostendum.app.aircraft.FlightHours.Flown;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes hours flown. A figure that stood before stays readable in the ledger of the battery that is in the aircraft. */
@Service
class FlightLog {
    private final FlightHours hours;
    private final Batteries batteries;
    private final BatteryRecord record;

    FlightLog(FlightHours hours, Batteries batteries, BatteryRecord record) {
        this.hours = hours;
        this.batteries = batteries;
        this.record = record;
    }

    @Transactional
    void keep(List<Flown> flown, Person by, Words words) {
        for (Flown one : flown) {
            Optional<Double> before = hours.on(one.machine(), one.day());
            hours.keep(one, by.id());
            before.filter(was -> was.doubleValue() != one.hours()).ifPresent(was -> tell(one, was, by, words));
        }
    }

    private void tell(Flown one, double before, Person by, Words words) {
        batteries.inMachine(one.machine()).ifPresent(battery -> {
            String told = words.text("aircraft.hours.changed", words.date(one.day()), one.hours(), before);
            record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told)));
        });
    }
}
