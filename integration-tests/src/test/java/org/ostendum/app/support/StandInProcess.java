package org.ostendum.app.support;

import java.io.IOException;
import java.io.PrintWriter;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The stand-ins as a process of their own, so that they can be killed, slowed down and garbled. */
public final class StandInProcess {
    private final int port;
    private final double speed;
    private final Path bank;
    private Process process;

    /** @param chargers lines of the bank */
    public StandInProcess(double speed, List<String> chargers) {
        this.speed = speed;
        try (ServerSocket socket = new ServerSocket(0)) {
            this.port = socket.getLocalPort();
            this.bank = Files.createTempDirectory("ostendum-standins-").resolve("chargers.csv");
            Files.writeString(
                    bank, "code,kind,cells,amperes,senses_from,defect\n" + String.join("\n", chargers) + "\n");
            // The first batteries of a new site, so that their tags are heard before they are plugged in.
            StringBuilder batteries = new StringBuilder("tag,code,cells,capacity_ah,empty,full,missing\n");
            for (int tag = 1; tag <= chargers.size(); tag++) {
                batteries.append(tag).append(",T-").append(tag).append(",18,600,1140,1285,0\n");
            }
            Files.writeString(bank.resolveSibling("batteries.csv"), batteries);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(this::kill));
        start();
    }

    public int port() {
        return port;
    }

    public void start() {
        try {
            process = new ProcessBuilder(
                            ProcessHandle.current().info().command().orElse("java"),
                            "-Xmx128m",
                            "-cp",
                            System.getProperty("java.class.path"),
                            "org.ostendum.standins.StandIns",
                            "--port=" + port,
                            "--bank=" + bank,
                            "--speed=" + speed,
                            "--room=20",
                            "--air=300")
                    .redirectErrorStream(true)
                    .redirectOutput(bank.resolveSibling("log").toFile())
                    .start();
            Instant end = Instant.now().plus(Duration.ofSeconds(30));
            while (!answers()) {
                if (!process.isAlive() || Instant.now().isAfter(end)) {
                    throw new IllegalStateException("The stand-ins did not start; see " + bank.resolveSibling("log"));
                }
                TimeUnit.MILLISECONDS.sleep(100);
            }
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private boolean answers() {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            return socket.isConnected();
        } catch (IOException notYet) {
            return false;
        }
    }

    /** Says something at its console. */
    public void say(String line) {
        PrintWriter console = new PrintWriter(process.getOutputStream(), true, StandardCharsets.UTF_8);
        console.println(line);
    }

    public void kill() {
        if (process != null) {
            process.destroyForcibly();
        }
    }
}
