package org.ostendum.demo;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeReadings;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSample;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.water.WaterUse;
import org.ostendum.demo.Lanternmoor.OneBattery;
import org.ostendum.demo.Lanternmoor.Someone;
import org.ostendum.demo.records.Happening;
import org.ostendum.demo.records.Life;
import org.ostendum.demo.records.RecordedBattery;
import org.ostendum.sim.SimulatedCharge;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty site with the demo: a year of Lanternmoor, dated back from today, the same each time. */
@Component
public class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final int DAYS = 364;
    private static final long SEED = 20_260_101;
    /** People write things down some minutes later. */
    private static final Duration WRITTEN_AFTER = Duration.ofMinutes(9);

    /** Well within the connections that the application has. */
    private static final int MOST_AT_ONCE = 6;

    /** Charges between two waterings. */
    private static final int WATERED_AFTER = 10;

    private final People people;
    private final Models models;
    private final Rooms rooms;
    private final DemoFloor floor;
    private final Batteries batteries;
    private final PasswordEncoder encoder;
    private final DemoSafety safety;
    private final DemoJobs demoJobs;
    private final DemoDevices demoDevices;
    private final TransactionTemplate transaction;
    private final JdbcTemplate sql;
    private final ZoneId zone;
    private final Instant now;
    private final DemoClock clock;
    private final Ledger ledger;
    private final BatteryStates batteryStates;
    private final RoundRecord record;
    private final ChargeReadings readings;

    DemoData(
            Ledger ledger,
            BatteryStates batteryStates,
            RoundRecord record,
            People people,
            Models models,
            Rooms rooms,
            DemoFloor floor,
            Batteries batteries,
            PasswordEncoder encoder,
            DemoSafety safety,
            DemoJobs demoJobs,
            DemoDevices demoDevices,
            ChargeReadings readings,
            TransactionTemplate transaction,
            JdbcTemplate sql,
            DemoClock clock,
            ZoneId zone) {
        this.people = people;
        this.models = models;
        this.rooms = rooms;
        this.floor = floor;
        this.batteries = batteries;
        this.encoder = encoder;
        this.safety = safety;
        this.demoJobs = demoJobs;
        this.demoDevices = demoDevices;
        this.readings = readings;
        this.transaction = transaction;
        this.sql = sql;
        this.zone = zone;
        this.clock = clock;
        this.now = clock.instant();
        this.ledger = ledger;
        this.batteryStates = batteryStates;
        this.record = record;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!people.isEmpty()) {
            return;
        }
        LOG.info("Filling the site with a year of Lanternmoor …");
        Map<String, Long> persons = new HashMap<>();
        Map<String, Long> modelIds = new HashMap<>();
        Map<String, Long> machineIds = new HashMap<>();
        Map<String, Iterator<Long>> slots = transaction.execute(status -> {
            addPeople(persons);
            addModels(modelIds);
            Map<String, Iterator<Long>> free = floor.addStands();
            floor.park(free, machineIds);
            return free;
        });
        transaction.executeWithoutResult(
                status -> safety.fill(rooms.names().get(0).id(), persons));
        long[] workers = {known(persons, "tom"), known(persons, "ines")};
        List<Living> living = new ArrayList<>();
        transaction.executeWithoutResult(status -> {
            for (OneBattery one : Lanternmoor.batteries()) {
                int n = living.size();
                living.add(addBattery(one, modelIds, machineIds, slots, workers[n % 2], SEED + n));
            }
        });
        liveAll(living);
        clock.moveTo(now);
        transaction.executeWithoutResult(status -> {
            floor.hangChargers();
            addNewcomer(modelIds);
            demoJobs.fill();
            safety.refill(rooms.names().get(0).id(), persons);
            demoDevices.fill();
        });
        clock.backToNow();
        // So much at once: what the database believes of its tables is still that they are empty.
        sql.execute("analyze table ledger_entry, round, cell_reading, charge_sample, battery, battery_state");
        LOG.info("{} batteries with their year are in the site", living.size());
    }

    /**
     * A battery whose year is to be told.
     *
     * @param lastDay of it
     * @param worker who looks after it
     */
    private record Living(Battery battery, OneBattery one, LocalDate lastDay, long worker, long seed) {}

    /** Lives know nothing of each other: one for each core at a time, each with a connection of its own. */
    private void liveAll(List<Living> living) {
        ExecutorService cores = Executors.newFixedThreadPool(
                Math.min(MOST_AT_ONCE, Runtime.getRuntime().availableProcessors()));
        try {
            List<Future<?>> begun = new ArrayList<>();
            living.forEach(one -> begun.add(cores.submit(() -> live(one))));
            for (Future<?> each : begun) {
                each.get();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("The demo's year was interrupted", e);
        } catch (ExecutionException e) {
            throw new IllegalStateException("The demo's year could not be told", e.getCause());
        } finally {
            cores.shutdownNow();
        }
    }

    private void live(Living living) {
        try {
            transaction.executeWithoutResult(status -> tellLifeOf(living));
        } finally {
            clock.backToNow();
        }
    }

    /** A battery that came this morning and has no history yet. */
    private void addNewcomer(Map<String, Long> modelIds) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        long id = batteries.add("A-5", "LM56140", known(modelIds, "Skyrow 12-35"), today.minusMonths(4), today);
        clock.moveTo(now);
        long priya = people.byLogin("priya").orElseThrow().id();
        ledger.append(
                id,
                List.of(
                        LedgerEvents.entry(
                                new BatteryEvent.Arrived(now.minus(Duration.ofHours(10)), true),
                                priya,
                                "Came dry-charged."),
                        LedgerEvents.entry(
                                new BatteryEvent.ChargeStarted(
                                        now.minus(DemoJobs.CHARGED_BEFORE), ChargeKind.INITIAL, null),
                                priya,
                                "")));
        batteryStates.refresh(batteries.byId(id).orElseThrow());
    }

    private void addPeople(Map<String, Long> persons) {
        String hash = Objects.requireNonNull(encoder.encode(Lanternmoor.PASSWORD));
        for (Someone someone : Lanternmoor.PEOPLE) {
            persons.put(someone.login(), people.add(someone.login(), someone.name(), someone.role(), hash));
        }
    }

    private void addModels(Map<String, Long> modelIds) {
        for (StoredModel model : LanternmoorModels.ALL) {
            modelIds.put(model.code(), models.add(model));
        }
    }

    private Living addBattery(
            OneBattery one,
            Map<String, Long> modelIds,
            Map<String, Long> machineIds,
            Map<String, Iterator<Long>> slots,
            long worker,
            long seed) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        LocalDate lastDay = today.minusDays(one.daysAgo());
        long id = batteries.add(
                one.code(),
                one.serial(),
                known(modelIds, one.model()),
                today.minusMonths(one.monthsOld() + 2L),
                today.minusMonths(one.monthsOld()));
        batteries.place(
                id,
                one.stand().isEmpty() ? null : known(slots, one.stand()).next(),
                one.machine().isEmpty() ? null : known(machineIds, one.machine()));
        batteries.nameWaterOwner(id, worker);
        return new Living(batteries.byId(id).orElseThrow(), one, lastDay, worker, seed);
    }

    private void tellLifeOf(Living living) {
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
        Life life = RecordedBattery.live(
                battery.type().model(), one.habits(), one.stories(), firstMorning, DAYS, living.seed());
        tell(battery, washed(life, one, firstMorning, living.seed()), worker);
        sinceThen(battery, one, living.lastDay(), LocalDate.ofInstant(now, zone), worker);
        clock.moveTo(now);
        batteryStates.refresh(battery);
    }

    /** Each was washed once in the year; two of them so long ago that it is due again. */
    private static Life washed(Life life, OneBattery one, Instant firstMorning, long seed) {
        boolean due = one.code().equals("T-25") || one.code().equals("G-08");
        Instant at = firstMorning
                .plus(Duration.ofDays(due ? 0 : 10 + seed * 37 % 330))
                .plus(Duration.ofHours(1));
        List<Happening> happenings = new ArrayList<>(life.happenings());
        happenings.add(new Happening(at, Happening.Kind.WASH, 0));
        happenings.sort(Comparator.comparing(Happening::at));
        return new Life(happenings, life.rounds());
    }

    /** Writes what happened and the rounds down, as they would have been written at the time. */
    private void tell(Battery battery, Life life, long worker) {
        List<NewEntry> lines =
                life.happenings().stream().map(h -> entry(h, worker)).toList();
        clock.goThrough(lines.stream()
                .map(line -> line.happenedAt().plus(WRITTEN_AFTER))
                .toList());
        ledger.append(battery.id(), lines);
        clock.moveTo(now);
        record.takeIn(battery, life.rounds(), worker);
    }

    private void write(Battery battery, List<NewEntry> waiting) {
        if (!waiting.isEmpty()) {
            ledger.append(battery.id(), waiting);
            waiting.clear();
        }
    }

    private static NewEntry entry(Happening happening, long worker) {
        BigDecimal quantity = happening.quantity() == 0 ? null : BigDecimal.valueOf(happening.quantity());
        NewEntry line = NewEntry.of(EntryKind.valueOf(happening.kind().name()), happening.at(), worker, quantity, "");
        return happening.kind() == Happening.Kind.WATER
                ? line.with(LedgerEvents.filled(BatteryEvent.Fill.TO_MARK).toString())
                : line;
    }

    /** The days since the last round, up to the state the battery is in at this hour. */
    private void sinceThen(Battery battery, OneBattery one, LocalDate lastDay, LocalDate today, long worker) {
        boolean setAside = !one.stories().isEmpty() && one.hour() == Lanternmoor.Hour.RESTED && one.daysAgo() < 5;
        if (setAside) {
            return;
        }
        List<NewEntry> entries = new ArrayList<>();
        double ampHours =
                battery.type().model().capacity().ampHours() * one.habits().depth();
        // Some are forgotten, so that somebody has water to think of.
        @Nullable LocalDate watered = one.code().endsWith("4") ? null : wateringDay(one, lastDay, today);
        Instant worked = now.minus(one.hour().sinceWork());
        for (LocalDate day = lastDay.plusDays(1); day.isBefore(today); day = day.plusDays(1)) {
            if (day.getDayOfWeek().getValue() <= one.habits().workDaysPerWeek()) {
                Instant morning = day.atTime(6, 0).atZone(zone).toInstant();
                // In the small hours yesterday's charge would end only after the work that came next.
                Instant full = earlier(morning.plus(Duration.ofHours(15)), worked.minus(Duration.ofHours(1)));
                entries.add(at(EntryKind.DISCHARGE, full.minus(Duration.ofHours(9)), ampHours, worker));
                entries.add(at(EntryKind.CHARGE_START, full.minus(Duration.ofHours(7)), 0, worker));
                entries.add(at(EntryKind.CHARGE_END, full, ampHours * RecordedBattery.CHARGE_RETURN, worker));
                if (day.equals(watered)) {
                    double overcharge = WATERED_AFTER * ampHours * (RecordedBattery.CHARGE_RETURN - 1);
                    double millilitres = 1000
                            * WaterUse.of(battery.type().model().cells(), AmpHours.of(overcharge))
                                    .litres();
                    entries.add(at(EntryKind.WATER, morning.plus(Duration.ofHours(16)), millilitres, worker));
                }
                clock.moveTo(morning.plus(Duration.ofHours(17)));
                write(battery, entries);
            }
        }
        // Early in the day some were still being read when their work would have ended: they have rested since.
        boolean readSince =
                worked.isBefore(lastDay.plusDays(1).atStartOfDay(zone).toInstant());
        switch (readSince ? Lanternmoor.Hour.RESTED : one.hour()) {
            case CHARGING -> {
                entries.add(at(EntryKind.DISCHARGE, worked, ampHours, worker));
                entries.add(at(EntryKind.CHARGE_START, now.minus(Duration.ofHours(3)), 0, worker));
                readCharges(battery, one, worker);
            }
            case COOLING -> {
                entries.add(at(EntryKind.DISCHARGE, worked, ampHours, worker));
                entries.add(at(
                        EntryKind.CHARGE_END,
                        now.minus(Duration.ofHours(3)),
                        ampHours * RecordedBattery.CHARGE_RETURN,
                        worker));
            }
            case WORKED -> entries.add(at(EntryKind.DISCHARGE, worked, ampHours / 2, worker));
            case RESTED -> {}
        }
        clock.moveTo(now);
        write(battery, entries);
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

    static <T> T known(Map<String, T> things, String name) {
        T thing = things.get(name);
        if (thing == null) {
            throw new IllegalStateException("The demo has no " + name);
        }
        return thing;
    }
}
