package org.ostendum.app.support;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import org.ostendum.app.device.Device;
import org.ostendum.app.device.Devices;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.TrayPattern;
import org.ostendum.core.charger.ChargerKind;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.device.Address;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.people.Role;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.receive.DateScheme;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.ostendum.core.safety.StationCheck;
import org.ostendum.core.safety.Training;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.transaction.support.TransactionTemplate;

/** A small site with six batteries, each under a charger of its own that stand-ins play: what a test of equipment needs. */
public class EquipmentSite {
    /** The bank; the fourth is for other batteries than those that stand here. */
    public static final List<String> BANK = List.of(
            "C1,TAPER_WITH_FINISH,18,100,1.6,",
            "C2,TAPER_WITH_FINISH,18,100,1.6,stops_early",
            "C3,TAPER_WITH_FINISH,18,100,1.6,will_not_start",
            "C4,TAPER_WITH_FINISH,24,120,1.6,",
            "C5,TAPER_WITH_FINISH,18,100,1.6,wrong_voltage",
            "C6,TAPER_WITH_FINISH,18,100,1.6,");

    public static final double TAKEN = 220;

    private final People people;
    private final Trainings trainings;
    private final Models models;
    private final Rooms rooms;
    private final Chargers chargers;
    private final Batteries batteries;
    /** Place of the battery that is just full, to be equalised. */
    private static final int EQUALISED = 5;

    private final Ledger ledger;
    private final Devices devices;
    private final Stations stations;
    private final BatteryStates batteryStates;
    private final PasswordEncoder encoder;
    private final Clock clock;
    private final TransactionTemplate transaction;

    EquipmentSite(
            People people,
            Trainings trainings,
            Models models,
            Rooms rooms,
            Chargers chargers,
            Batteries batteries,
            Ledger ledger,
            Devices devices,
            Stations stations,
            BatteryStates batteryStates,
            PasswordEncoder encoder,
            Clock clock,
            TransactionTemplate transaction) {
        this.people = people;
        this.trainings = trainings;
        this.models = models;
        this.rooms = rooms;
        this.chargers = chargers;
        this.batteries = batteries;
        this.ledger = ledger;
        this.devices = devices;
        this.stations = stations;
        this.batteryStates = batteryStates;
        this.encoder = encoder;
        this.clock = clock;
        this.transaction = transaction;
    }

    /**
     * Writes the bank's file into a folder, and beside it that of the site's first batteries, so that their tags are heard before
     * they are plugged in.
     *
     * @return the bank's
     */
    public static Path writeBank(Path folder) throws IOException {
        StringBuilder batteries = new StringBuilder("tag,code,cells,capacity_ah,empty,full,missing\n");
        for (int tag = 1; tag <= BANK.size(); tag++) {
            batteries.append(tag).append(",T-").append(tag).append(",18,600,1140,1285,0\n");
        }
        Files.writeString(folder.resolve("batteries.csv"), batteries);
        return Files.writeString(
                folder.resolve("chargers.csv"),
                "code,kind,cells,amperes,senses_from,defect\n" + String.join("\n", BANK) + "\n");
    }

    /** @param port on which the stand-ins are heard */
    public void fill(int port) {
        if (batteries.count() == 0) {
            transaction.executeWithoutResult(status -> build(port));
        }
    }

    private void build(int port) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        long tom = people.add("tom", "Tom Brackett", Role.TECHNICIAN, encoder.encode("lanternmoor"));
        trainings.hold(tom, Training.BATTERY_CARE, today, tom);
        long model = models.add(tray());
        long room = rooms.add("main", "Charging room", 1500, 800);
        for (StationCheck check : StationCheck.values()) {
            stations.check(stations.add(room, check, check.name()), true, "", tom);
        }
        Stand stand = new Stand(0, "S", "Stand S", StandKind.STAND, 40, 40, 1400, 300, List.of());
        List<Long> slots = rooms.addStand(room, stand, BANK.size());
        for (int place = 0; place < slots.size(); place++) {
            long charger = chargers.add(slots.get(place), sheet(place));
            devices.add(device(Device.Kind.CHARGER, port, Address.ofCharger(place), charger, null, null));
            addBattery(place, model, slots.get(place), tom, port, today);
        }
        devices.add(device(Device.Kind.AIR, port, Address.ofAir(), null, null, room));
        devices.add(device(Device.Kind.CART, port, Address.ofCart(), null, null, room));
        devices.add(device(Device.Kind.LOAD_BANK, port, Address.ofLoadBank(), null, null, room));
    }

    private void addBattery(int place, long model, long slot, long tom, int port, LocalDate today) {
        long id = batteries.add("T-" + (place + 1), "S" + place, model, today.minusYears(2), today.minusYears(2));
        batteries.place(id, slot, null);
        batteries.nameWaterOwner(id, tom);
        Instant now = clock.instant();
        ledger.append(
                id,
                List.of(
                        entry(EntryKind.CHARGE_END, now.minus(Duration.ofHours(30)), tom, null),
                        entry(EntryKind.DISCHARGE, now.minus(Duration.ofHours(2)), tom, BigDecimal.valueOf(TAKEN))));
        if (place == EQUALISED) {
            BatteryEvent full = new BatteryEvent.ChargeEnded(
                    now.minus(Duration.ofHours(1)), Ending.FULL, Set.of(FullSign.STEADY_VOLTAGE), null);
            ledger.append(id, List.of(LedgerEvents.entry(full, tom, "")));
        }
        batteryStates.refresh(batteries.byId(id).orElseThrow());
        devices.add(device(Device.Kind.TAG, port, Address.ofTag(id), null, id, null));
    }

    private static NewEntry entry(EntryKind kind, Instant at, long person, BigDecimal quantity) {
        return NewEntry.of(kind, at, person, quantity, "");
    }

    private static Device device(Device.Kind kind, int port, Address address, Long charger, Long battery, Long room) {
        return new Device(0, kind, "127.0.0.1", port, address, charger, battery, room, "");
    }

    private static ChargerSheet sheet(int place) {
        String[] line = BANK.get(place).split(",", -1);
        return new ChargerSheet(
                line[0],
                ChargerKind.TAPER_WITH_FINISH,
                Set.of(Integer.valueOf(line[2])),
                Set.of(CellKind.FLOODED),
                "slate, wide",
                new Amperes(Double.parseDouble(line[3])),
                AmpHours.of(300),
                AmpHours.of(900),
                Volts.of(1.6),
                false);
    }

    private static StoredModel tray() {
        BatteryModel model = new BatteryModel(
                "Corvane 36-600",
                CellKind.FLOODED,
                Duty.MOTIVE,
                TrayPattern.ROWS_FROM_LEFT.layout(3, 6),
                AmpHours.of(600),
                6,
                GravityMarks.usualFor(Duty.MOTIVE));
        return new StoredModel(
                0,
                model,
                "Corvane",
                12,
                "to the ring",
                930,
                false,
                DateScheme.LETTER_DIGIT,
                250,
                "slate, wide",
                false,
                null);
    }
}
