package org.ostendum.demo;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.water.WaterUse;
import org.ostendum.demo.Lanternmoor.OneBattery;
import org.ostendum.sim.SimulatedCharge;

/** The days since a battery's last round, up to the state it is in at this hour. */
class DemoLastDays {
    /** Charges between two waterings. */
    private static final int WATERED_AFTER = 10;
    /** Ah put in for each Ah taken out. */
    private static final double CHARGE_RETURN = 1.12;

    private final Ledger ledger;
    private final ChargeReadings readings;
    private final DemoClock clock;
    private final ZoneId zone;
    private final Instant now;

    DemoLastDays(Ledger ledger, ChargeReadings readings, DemoClock clock, ZoneId zone) {
        this.ledger = ledger;
        this.readings = readings;
        this.clock = clock;
        this.zone = zone;
        this.now = clock.instant();
    }

    void tell(Battery battery, OneBattery one, LocalDate lastDay, long worker) {
        boolean setAside = one.hasStory() && one.hour() == Lanternmoor.Hour.RESTED && one.daysAgo() < 5;
        if (setAside || Lanternmoor.PUT_AWAY.contains(one.code())) {
            return;
        }
        double ampHours =
                battery.type().model().capacity().ampHours() * one.habits().depth();
        LocalDate today = LocalDate.ofInstant(now, zone);
        // Some are forgotten, so that somebody has water to think of.
        @Nullable LocalDate watered = one.code().endsWith("4") ? null : wateringDay(one, lastDay, today);
        for (LocalDate day = lastDay.plusDays(1); day.isBefore(today); day = day.plusDays(1)) {
            if (day.getDayOfWeek().getValue() <= one.habits().workDaysPerWeek()) {
                List<NewEntry> lines = workingDay(one, day, ampHours, worker);
                if (day.equals(watered)) {
                    lines.add(watering(battery, day, ampHours, worker));
                }
                clock.moveTo(morning(day).plus(Duration.ofHours(17)));
                ledger.append(battery.id(), lines);
            }
        }
        clock.moveTo(now);
        if (hour(one, lastDay) == Lanternmoor.Hour.CHARGING) {
            readCharges(battery, one, worker);
        }
        List<NewEntry> lines = thisHour(one, lastDay, ampHours, worker);
        if (!lines.isEmpty()) {
            ledger.append(battery.id(), lines);
        }
    }

    private Instant morning(LocalDate day) {
        return day.atTime(6, 0).atZone(zone).toInstant();
    }

    private List<NewEntry> workingDay(OneBattery one, LocalDate day, double ampHours, long worker) {
        // In the small hours yesterday's charge would end only after the work that came next.
        Instant full =
                earlier(morning(day).plus(Duration.ofHours(15)), worked(one).minus(Duration.ofHours(1)));
        List<NewEntry> lines = new ArrayList<>();
        lines.add(at(EntryKind.DISCHARGE, full.minus(Duration.ofHours(9)), ampHours, worker));
        lines.add(at(EntryKind.CHARGE_START, full.minus(Duration.ofHours(7)), 0, worker));
        lines.add(at(EntryKind.CHARGE_END, full, ampHours * CHARGE_RETURN, worker));
        return lines;
    }

    private NewEntry watering(Battery battery, LocalDate day, double ampHours, long worker) {
        double overcharge = WATERED_AFTER * ampHours * (CHARGE_RETURN - 1);
        double millilitres = 1000
                * WaterUse.of(battery.type().model().cells(), AmpHours.of(overcharge))
                        .litres();
        return at(EntryKind.WATER, morning(day).plus(Duration.ofHours(16)), millilitres, worker);
    }

    private Instant worked(OneBattery one) {
        return now.minus(one.hour().sinceWork());
    }

    /** Early in the day some were still being read when their work would have ended: they have rested since. */
    private Lanternmoor.Hour hour(OneBattery one, LocalDate lastDay) {
        boolean readSince =
                worked(one).isBefore(lastDay.plusDays(1).atStartOfDay(zone).toInstant());
        return readSince ? Lanternmoor.Hour.RESTED : one.hour();
    }

    private List<NewEntry> thisHour(OneBattery one, LocalDate lastDay, double ampHours, long worker) {
        Instant worked = worked(one);
        Instant since = now.minus(Duration.ofHours(3));
        return switch (hour(one, lastDay)) {
            case CHARGING ->
                List.of(
                        at(EntryKind.DISCHARGE, worked, ampHours, worker),
                        at(EntryKind.CHARGE_START, since, 0, worker));
            case COOLING ->
                List.of(
                        at(EntryKind.DISCHARGE, worked, ampHours, worker),
                        at(EntryKind.CHARGE_END, since, ampHours * CHARGE_RETURN, worker));
            case WORKED -> List.of(at(EntryKind.DISCHARGE, worked, ampHours / 2, worker));
            case RESTED -> List.of();
        };
    }

    private static Instant earlier(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }

    /** Somebody has read the charge that runs every quarter of an hour, and two before it every half. */
    private void readCharges(Battery battery, OneBattery one, long worker) {
        BatteryModel model = battery.type().model();
        double depth = one.habits().depth();
        Instant start = now.minus(Duration.ofHours(3));
        read(battery, SimulatedCharge.of(model, depth, start, Duration.ofMinutes(15), battery.id()), worker);
        List<PastCharges.Span> spans = PastCharges.of(ledger.charges(battery.id(), start.minus(Duration.ofDays(14))))
                .spans();
        for (PastCharges.Span span : spans.subList(Math.max(0, spans.size() - 2), spans.size())) {
            read(
                    battery,
                    SimulatedCharge.of(model, depth * 0.97, span.from(), Duration.ofMinutes(30), battery.id() + 1),
                    worker);
        }
    }

    private void read(Battery battery, List<ChargeSample> samples, long worker) {
        samples.stream()
                .filter(sample -> sample.at().isBefore(now))
                .forEach(sample -> readings.add(battery.id(), sample, worker));
    }

    /** The last working day before yesterday, so that a charge has mixed the water since. */
    private static @Nullable LocalDate wateringDay(OneBattery one, LocalDate lastDay, LocalDate today) {
        return lastDay.plusDays(1)
                .datesUntil(today.minusDays(1).isAfter(lastDay) ? today.minusDays(1) : lastDay.plusDays(1))
                .filter(day -> day.getDayOfWeek().getValue() <= one.habits().workDaysPerWeek())
                .reduce((earlier, later) -> later)
                .orElse(null);
    }

    private static NewEntry at(EntryKind kind, Instant at, double quantity, long worker) {
        BigDecimal rounded = quantity == 0 ? null : BigDecimal.valueOf(Math.round(quantity));
        return NewEntry.of(kind, at, worker, rounded, "");
    }
}
