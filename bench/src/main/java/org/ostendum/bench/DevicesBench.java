package org.ostendum.bench;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.io.PrintWriter;
import java.lang.management.ManagementFactory;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.ostendum.app.Ostendum;
import org.ostendum.app.charge.ChargeRuns;
import org.ostendum.app.device.Device;
import org.ostendum.app.device.Devices;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Chargers;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.core.charger.ChargerSheet;
import org.ostendum.core.device.Address;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.quantity.Amperes;
import org.ostendum.core.room.RoomPlan.Stand;
import org.ostendum.core.room.RoomPlan.StandKind;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Many chargers with their tags, heard each five seconds for ten minutes of the site's clock, from stand-ins in a process
 * of their own. A tenth of them does not start, and half-way the fan goes off: each of those must ring.
 */
final class DevicesBench {
    private static final Duration WATCHED = Duration.ofMinutes(10);
    private static final int SLOTS = 50;
    private static final int CELLS = 20;
    private static final int DEAD_EACH = 10;

    private final int chargers;
    private final int port;
    private final ConfigurableApplicationContext application;

    private DevicesBench(int chargers, int port, ConfigurableApplicationContext application) {
        this.chargers = chargers;
        this.port = port;
        this.application = application;
    }

    static void run(int chargers, int speed) throws Exception {
        int port;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        Process standIns = standIns(chargers, speed, port);
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Ostendum.class,
                "--server.port=0",
                "--ostendum.demo=false",
                "--ostendum.devices.hands=true",
                "--ostendum.clock.speed=" + speed,
                "--logging.level.root=error")) {
            DevicesBench bench = new DevicesBench(chargers, port, application);
            application.getBean(TransactionTemplate.class).executeWithoutResult(status -> bench.fill());
            bench.watch(speed, standIns);
        } finally {
            standIns.destroy();
        }
    }

    private static Process standIns(int chargers, int speed, int port) throws IOException {
        StringBuilder bank = new StringBuilder("code,kind,cells,amperes,senses_from,defect\n");
        for (int i = 0; i < chargers; i++) {
            bank.append("X").append(i).append(",TAPER_WITH_FINISH,20,100,1.6,");
            bank.append(i % DEAD_EACH == 0 ? "will_not_start\n" : "\n");
        }
        Path folder = Files.createTempDirectory("ostendum-bench-");
        Path file = folder.resolve("chargers.csv");
        Files.writeString(file, bank, StandardCharsets.UTF_8);
        return new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-Xmx256m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        "org.ostendum.standins.StandIns",
                        "--port=" + port,
                        "--bank=" + file,
                        "--speed=" + speed)
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("log").toFile())
                .start();
    }

    private void fill() {
        JdbcTemplate sql = application.getBean(JdbcTemplate.class);
        Rooms rooms = application.getBean(Rooms.class);
        Chargers bank = application.getBean(Chargers.class);
        Batteries batteries = application.getBean(Batteries.class);
        Devices devices = application.getBean(Devices.class);
        ChargeRuns runs = application.getBean(ChargeRuns.class);
        new ScratchSite(sql, Path.of("/tmp")).addModel();
        Long model = sql.queryForObject("select min(id) from battery_model", Long.class);
        long room = rooms.add("bench", "Bench", 5000, 5000);
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        List<Long> slots = new ArrayList<>();
        for (int stand = 0; slots.size() < chargers; stand++) {
            slots.addAll(rooms.addStand(
                    room,
                    new Stand(0, "S" + stand, "Stand " + stand, StandKind.STAND, 0, 100 * stand, 4000, 90, List.of()),
                    Math.min(SLOTS, chargers - slots.size())));
        }
        for (int place = 0; place < chargers; place++) {
            long charger = bank.add(slots.get(place), ChargerSheet.ofPlate("X" + place, CELLS, new Amperes(100)));
            long battery = batteries.add("D-" + place, "D" + place, model == null ? 0 : model, today, today);
            batteries.place(battery, slots.get(place), null);
            add(devices, Device.Kind.CHARGER, Address.ofCharger(place), charger);
            add(devices, Device.Kind.TAG, Address.ofTag(battery), battery);
            runs.begin(battery, charger, ChargeKind.CONVENTIONAL, now(), null, null);
        }
        add(devices, Device.Kind.AIR, Address.ofAir(), room);
    }

    private Instant now() {
        return application.getBean(Clock.class).instant();
    }

    private void add(Devices devices, Device.Kind kind, Address address, long owner) {
        devices.add(new Device(
                0,
                kind,
                "127.0.0.1",
                port,
                address,
                kind == Device.Kind.CHARGER ? (Long) owner : null,
                kind == Device.Kind.TAG ? (Long) owner : null,
                kind == Device.Kind.AIR ? (Long) owner : null,
                ""));
    }

    private void watch(int speed, Process standIns) throws InterruptedException {
        OperatingSystemMXBean system = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        long cpu = system.getProcessCpuTime();
        Instant began = Instant.now();
        long half = WATCHED.toMillis() / speed / 2;
        TimeUnit.MILLISECONDS.sleep(half);
        new PrintWriter(standIns.getOutputStream(), true, StandardCharsets.UTF_8).println("fan off");
        TimeUnit.MILLISECONDS.sleep(half);
        double real = Duration.between(began, Instant.now()).toMillis() / 1000.0;
        double used = (system.getProcessCpuTime() - cpu) / 1e9;
        System.gc();
        long memory = (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) >> 20;
        JdbcTemplate sql = application.getBean(JdbcTemplate.class);
        System.out.printf(
                "%n%d chargers and as many tags, %d times as fast, %.0f s of real time%n", chargers, speed, real);
        System.out.printf("  application: %.2f of a core, %d MiB of heap in use%n", used / real, memory);
        System.out.printf(
                "  stand-ins: %.2f of a core%n",
                standIns.info().totalCpuDuration().orElse(Duration.ZERO).toMillis() / 1000.0 / real);
        System.out.printf("  samples written: %,d%n", count(sql, "select count(*) from charge_sample"));
        int dead = (chargers + DEAD_EACH - 1) / DEAD_EACH;
        System.out.printf(
                "  did not start: %d planted, %d rang%n",
                dead, count(sql, "select count(*) from alarm where kind = 'NOT_STARTED'"));
        System.out.printf(
                "  fan off: 1 planted, %d rang%n", count(sql, "select count(*) from alarm where kind = 'FAN_OFF'"));
        System.out.printf(
                "  other alarms: %d%n",
                count(sql, "select count(*) from alarm where kind not in ('FAN_OFF', 'NOT_STARTED')"));
    }

    private static long count(JdbcTemplate sql, String query) {
        Long count = sql.queryForObject(query, Long.class);
        return count == null ? 0 : count;
    }
}
