package org.ostendum.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.device.Device;
import org.ostendum.app.device.Devices;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.PastCharges;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.device.Address;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.room.RoomPlan;
import org.ostendum.core.state.BatteryState;
import org.springframework.beans.factory.annotation.Value;

/** The demo's devices: where its stand-ins will be heard, and the bank file from which they are started. */
class DemoDevices {
    private static final String HOST = "127.0.0.1";
    /** Chargers with something wrong, by code. */
    private static final Map<String, String> DEFECTS = Map.of("CA7", "stops_early", "CB2", "will_not_start");

    private static final double MOST_MISSING = 0.9;
    private static final Duration LOOKED_BACK = Duration.ofDays(30);

    private final Devices devices;
    private final Rooms rooms;
    private final Chargers chargers;
    private final Batteries batteries;
    private final ChargeRuns runs;
    private final BatteryStates batteryStates;
    private final Ledger ledger;
    private final int port;
    private final Path folder;

    DemoDevices(
            Devices devices,
            Rooms rooms,
            Chargers chargers,
            Batteries batteries,
            ChargeRuns runs,
            BatteryStates batteryStates,
            Ledger ledger,
            @Value("${ostendum.standins.port}") int port,
            @Value("${ostendum.standins.folder}") Path folder) {
        this.devices = devices;
        this.rooms = rooms;
        this.chargers = chargers;
        this.batteries = batteries;
        this.runs = runs;
        this.batteryStates = batteryStates;
        this.ledger = ledger;
        this.port = port;
        this.folder = folder;
    }

    /** Nothing where no stand-ins are to be started. */
    void fill() {
        beginRuns();
        if (port == 0) {
            return;
        }
        // What a car has on board speaks to nobody.
        List<RoomPlan.Charger> bank = rooms.plans().stream()
                .flatMap(RoomPlan::chargers)
                .filter(charger -> charger.onBoardOf() == null)
                .toList();
        for (int place = 0; place < bank.size(); place++) {
            add(Device.Kind.CHARGER, Address.ofCharger(place), bank.get(place).id());
        }
        batteries.all().forEach(b -> add(Device.Kind.TAG, Address.ofTag(b.id()), b.id()));
        long room = rooms.names().get(0).id();
        add(Device.Kind.AIR, Address.ofAir(), room);
        add(Device.Kind.CART, Address.ofCart(), room);
        add(Device.Kind.LOAD_BANK, Address.ofLoadBank(), room);
        write(bank.stream().map(RoomPlan.Charger::sheet).toList());
    }

    private void add(Device.Kind kind, Address address, long owner) {
        devices.add(new Device(
                0,
                kind,
                HOST,
                port,
                address,
                kind == Device.Kind.CHARGER ? (Long) owner : null,
                kind == Device.Kind.TAG ? (Long) owner : null,
                kind == Device.Kind.CHARGER || kind == Device.Kind.TAG ? null : (Long) owner,
                ""));
    }

    /** What is on charge by the ledger hangs on the charger over its slot. */
    private void beginRuns() {
        List<Battery> all = batteries.all();
        Map<Long, BatteryState> states = batteryStates.statesOf(all);
        for (Battery battery : all) {
            BatteryState state = states.get(battery.id());
            var charge = state == null ? null : state.onCharge();
            if (charge != null) {
                Instant since = charge.since();
                runs.begin(
                        battery.id(),
                        chargers.usualOf(battery).orElse(null),
                        ChargeKind.CONVENTIONAL,
                        since,
                        null,
                        null);
            }
        }
    }

    private void write(List<ChargerSheet> sheets) {
        String bank = sheets.stream()
                .map(DemoDevices::line)
                .collect(Collectors.joining("", "code,kind,cells,amperes,senses_from,defect\n", ""));
        String standing = batteries.all().stream()
                .map(this::line)
                .collect(Collectors.joining("", "tag,code,cells,capacity_ah,empty,full,missing\n", ""));
        try {
            Files.createDirectories(folder);
            Files.writeString(folder.resolve("batteries.csv"), standing, StandardCharsets.UTF_8);
            Files.writeString(folder.resolve("chargers.csv"), bank, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String line(Battery battery) {
        BatteryModel model = battery.type().model();
        double capacity = model.capacity().ampHours();
        @Nullable
        Double taken = PastCharges.of(
                        ledger.charges(battery.id(), batteryStates.instant().minus(LOOKED_BACK)))
                .taken();
        return String.format(
                Locale.ROOT,
                "%d,%s,%d,%.1f,%d,%d,%d%n",
                battery.id(),
                battery.code(),
                model.cells(),
                capacity,
                model.marks().empty().points(),
                model.marks().scale().full().points(),
                taken == null ? 0 : Math.round(1000 * Math.min(MOST_MISSING, taken / capacity)));
    }

    private static String line(ChargerSheet sheet) {
        return String.format(
                Locale.ROOT,
                "%s,%s,%s,%.0f,%.2f,%s%n",
                sheet.code(),
                sheet.kind(),
                sheet.cells().stream().sorted().map(String::valueOf).collect(Collectors.joining(" ")),
                sheet.amperes().amperes(),
                sheet.sensesFrom().volts(),
                DEFECTS.getOrDefault(sheet.code(), ""));
    }
}
