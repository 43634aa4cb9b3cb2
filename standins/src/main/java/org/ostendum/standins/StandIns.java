package org.ostendum.standins;

import com.digitalpetri.modbus.server.ModbusTcpServer;
import com.digitalpetri.modbus.tcp.server.NettyTcpServerTransport;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.ostendum.sim.RoomBattery;
import org.ostendum.sim.SimulatedCharger;
import org.ostendum.standins.BatteriesFile.Named;

/** The process: reads the bank, listens on loopback, lets time pass and does what the console says. */
public final class StandIns {
    private static final Duration TICK = Duration.ofMillis(200);

    private final Settings settings;
    private final SimulatedRoom room;
    private final Mischief mischief = new Mischief();
    private final HydrometerMemory hydrometer;

    private StandIns(Settings settings, List<SimulatedCharger> bank, Map<Long, Named> standing) {
        this.settings = settings;
        Map<Long, RoomBattery> batteries = new HashMap<>();
        standing.forEach((tag, named) -> batteries.put(tag, named.battery()));
        this.room = new SimulatedRoom(bank, batteries, new RoomAir(settings.roomVolume(), settings.fanAir()));
        this.hydrometer = new HydrometerMemory(
                settings.folder().resolve("hydrometer.csv"), settings.clock(Instant.now()), tag -> {
                    Named named = standing.get(tag);
                    return named == null ? "tag-" + tag : named.code();
                });
    }

    /** Runs until its input ends or it is told to quit. */
    public static void main(String[] arguments) throws Exception {
        Settings settings;
        List<SimulatedCharger> bank;
        Map<Long, Named> standing;
        try {
            settings = Settings.of(arguments);
            bank = BankFile.read(settings.bank());
            standing = BatteriesFile.read(settings.bank().resolveSibling("batteries.csv"));
            Files.createDirectories(settings.folder());
        } catch (IOException | IllegalArgumentException e) {
            System.err.println("stand-ins: " + e.getMessage());
            System.exit(2);
            return;
        }
        new StandIns(settings, bank, standing).run();
    }

    private void run() throws ExecutionException, InterruptedException, IOException {
        ModbusTcpServer server = ModbusTcpServer.create(
                NettyTcpServerTransport.create(c -> {
                    c.setBindAddress("127.0.0.1");
                    c.setPort(settings.port());
                }),
                new Blocks(room, mischief, hydrometer));
        server.start();
        @Nullable
        Receivers receivers = settings.mailPort() == 0
                ? null
                : new Receivers(
                        settings.mailPort(),
                        settings.hookPort(),
                        settings.folder().resolve("received.txt"));
        ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor();
        ScheduledFuture<?> ticking = clock.scheduleAtFixedRate(
                () -> tick(receivers), TICK.toMillis(), TICK.toMillis(), TimeUnit.MILLISECONDS);
        System.out.println("stand-ins: listening on port " + settings.port() + ", the clock runs " + settings.speed()
                + " times as fast");
        new Console(room, mischief, System.in, System.out).run();
        ticking.cancel(true);
        if (receivers != null) {
            receivers.close();
        }
        clock.shutdown();
        server.stop();
        System.exit(0);
    }

    private void tick(@Nullable Receivers receivers) {
        if (receivers != null) {
            receivers.look();
        }
        room.pass(Duration.ofMillis(Math.round(TICK.toMillis() * settings.speed())));
    }
}
