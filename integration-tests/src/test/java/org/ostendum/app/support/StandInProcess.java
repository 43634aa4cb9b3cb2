package org.ostendum.app.support;

import java.io.IOException;
import java.io.PrintWriter;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;

/** The stand-ins as a process of their own, so that they can be killed, slowed down and garbled. */
public final class StandInProcess {
    private final ProcessFolder folder = new ProcessFolder("ostendum-standins-");
    private final int port;
    private final double speed;
    private final Path bank;
    private Process process;

    /** At the bank of {@link EquipmentSite}. */
    public StandInProcess(double speed) {
        this.speed = speed;
        this.port = FreePort.any();
        try {
            this.bank = EquipmentSite.writeBank(folder.path());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        start();
    }

    public int port() {
        return port;
    }

    public void start() {
        try {
            process = folder.start(new ProcessBuilder(
                    ProcessHandle.current().info().command().orElse("java"),
                    "-Xmx128m",
                    "-cp",
                    System.getProperty("java.class.path"),
                    "org.ostendum.standins.StandIns",
                    "--port=" + port,
                    "--bank=" + bank,
                    "--speed=" + speed,
                    "--room=20",
                    "--air=300"));
            folder.await("The stand-ins", Duration.ofSeconds(30), process, this::answers);
        } catch (IOException e) {
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
