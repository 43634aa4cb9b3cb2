package org.ostendum.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.demo.Lanternmoor.OneBattery;
import org.ostendum.demo.lives.LivedYear;
import org.ostendum.demo.lives.Year;

/** A battery's year, written down as it would have been written at the time. */
class DemoYear {
    private static final int DAYS = 364;
    /** People write things down some minutes later. */
    private static final Duration WRITTEN_AFTER = Duration.ofMinutes(9);

    private final Ledger ledger;
    private final RoundRecord record;
    private final BatteryStates batteryStates;
    private final DemoLastDays lastDays;
    private final DemoClock clock;
    private final ZoneId zone;
    private final Instant now;

    DemoYear(
            Ledger ledger,
            RoundRecord record,
            BatteryStates batteryStates,
            DemoLastDays lastDays,
            DemoClock clock,
            ZoneId zone) {
        this.ledger = ledger;
        this.record = record;
        this.batteryStates = batteryStates;
        this.lastDays = lastDays;
        this.clock = clock;
        this.zone = zone;
        this.now = clock.instant();
    }

    /**
     * A battery whose year is to be told.
     *
     * @param lastDay of it
     * @param worker who looks after it
     */
    record Living(Battery battery, OneBattery one, LocalDate lastDay, long worker, long seed) {}

    void tell(Living living) {
        Battery battery = living.battery();
        OneBattery one = living.one();
        long worker = living.worker();
        Instant firstMorning = living.lastDay()
                .minusDays(DAYS - 1L)
                .atTime(LocalTime.of(6, 0))
                .atZone(zone)
                .toInstant();
        clock.moveTo(firstMorning);
        ledger.append(
                battery.id(),
                List.of(NewEntry.of(EntryKind.ADDED, firstMorning, worker, null, "Taken over from the paper log.")));
        Year year = LivedYear.of(
                battery.type().model(), one.habits(), one.faults(), one.endings(), firstMorning, DAYS, living.seed());
        tell(battery, washed(year, one, firstMorning, living.seed()), worker);
        lastDays.tell(battery, one, living.lastDay(), worker);
        clock.moveTo(now);
        batteryStates.refresh(battery);
    }

    /** Each was washed once in the year; two of them so long ago that it is due again. */
    private static Year washed(Year year, OneBattery one, Instant firstMorning, long seed) {
        boolean due = one.code().equals("T-25") || one.code().equals("G-08");
        Instant at = firstMorning
                .plus(Duration.ofDays(due ? 0 : 10 + seed * 37 % 330))
                .plus(Duration.ofHours(1));
        List<BatteryEvent> events = new ArrayList<>(year.events());
        events.add(new BatteryEvent.Washed(at));
        events.sort(Comparator.comparing(BatteryEvent::at));
        return new Year(events, year.rounds());
    }

    /** Writes what happened and the rounds down, as they would have been written at the time. */
    private void tell(Battery battery, Year year, long worker) {
        List<NewEntry> lines = year.events().stream()
                .map(event -> LedgerEvents.entry(event, worker, ""))
                .toList();
        clock.goThrough(lines.stream()
                .map(line -> line.happenedAt().plus(WRITTEN_AFTER))
                .toList());
        ledger.append(battery.id(), lines);
        clock.moveTo(now);
        record.takeIn(battery, year.rounds(), worker);
    }
}
