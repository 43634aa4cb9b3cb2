package org.ostendum.app.support;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/** A real MariaDB of the test's own, in a folder of its own, on loopback. */
public final class MariaDbServer {
    /** The default of a hundred would be most of what each of them writes. */
    private static final String REDO_LOG = "--innodb-log-file-size=32M";

    private final ProcessFolder place;
    private final Path folder;
    private final int port;
    private final boolean durable;
    private Process process;

    /**
     * An empty one.
     *
     * @param durable with the settings of real use rather than the quickest ones
     */
    public MariaDbServer(boolean durable) {
        this(newFolder(), durable);
        try {
            install();
            start();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException("No database for the tests", e);
        }
    }

    private MariaDbServer(ProcessFolder place, boolean durable) {
        this.place = place;
        this.folder = place.path();
        this.durable = durable;
        this.port = FreePort.any();
    }

    /** @param data a folder that an ended server has left; it stays as it is */
    static MariaDbServer onCopyOf(Path data) {
        try {
            MariaDbServer server = new MariaDbServer(newFolder(), false);
            run(
                    server.folder,
                    "cp",
                    "-a",
                    data.resolve("data").toString(),
                    data.resolve("init.sql").toString(),
                    server.folder.toString());
            server.start();
            return server;
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException("No copy of the demo's database", e);
        }
    }

    private static ProcessFolder newFolder() {
        ProcessFolder folder = new ProcessFolder("ostendum-test-");
        if (user().equals("mysql")) {
            try {
                run(folder.path(), "chown", "mysql", folder.path().toString());
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException("No folder for a database", e);
            }
        }
        return folder;
    }

    Path folder() {
        return folder;
    }

    /** Ends it in order, so that its data can be copied. */
    void stop() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }

    public String url() {
        return "jdbc:mariadb://127.0.0.1:" + port + "/ostendum?useBulkStmts=true";
    }

    private void install() throws IOException, InterruptedException {
        run(
                folder,
                "mariadb-install-db",
                "--no-defaults",
                "--datadir=" + folder.resolve("data"),
                "--auth-root-authentication-method=socket",
                "--skip-test-db",
                REDO_LOG,
                "--user=" + user());
        Files.writeString(
                folder.resolve("init.sql"),
                "create database if not exists ostendum;\ncreate user if not exists ostendum@'%' identified by 'ostendum';\n"
                        + "grant all on ostendum.* to ostendum@'%' with grant option;\n"
                        + "create user if not exists worker@'%' identified by 'worker';\n");
    }

    /** Starts the server on the data it has. */
    public void start() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                "/usr/sbin/mariadbd",
                "--no-defaults",
                "--user=" + user(),
                "--datadir=" + folder.resolve("data"),
                "--socket=" + folder.resolve("s"),
                "--port=" + port,
                "--tmpdir=" + folder,
                "--bind-address=127.0.0.1",
                "--skip-name-resolve",
                REDO_LOG,
                "--default-time-zone=+00:00",
                "--character-set-server=utf8mb4",
                "--collation-server=utf8mb4_uca1400_ai_ci",
                "--init-file=" + folder.resolve("init.sql")));
        if (durable) {
            command.add("--innodb-flush-log-at-trx-commit=1");
        } else {
            command.addAll(List.of(
                    "--innodb-flush-log-at-trx-commit=0", "--skip-innodb-doublewrite", "--performance-schema=off"));
        }
        process = place.start(new ProcessBuilder(command));
        await();
    }

    private void await() {
        place.await("The database", Duration.ofSeconds(40), process, this::answers);
    }

    private boolean answers() {
        try {
            DriverManager.getConnection(url(), "ostendum", "ostendum").close();
            return true;
        } catch (SQLException notYet) {
            return false;
        }
    }

    /** Ends the server as a power cut would. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    static String user() {
        String user = System.getProperty("user.name");
        return user.equals("root") ? "mysql" : user;
    }

    private static void run(Path folder, String... command) throws IOException, InterruptedException {
        ProcessBuilder run = new ProcessBuilder(command).redirectErrorStream(true);
        // A starting server clears away what lies in its folder for temporary tables, also another's.
        run.environment().put("TMPDIR", folder.toString());
        Process running = run.start();
        String said = new String(running.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (running.waitFor() != 0) {
            throw new IllegalStateException(String.join(" ", command) + " failed: " + said);
        }
    }
}
