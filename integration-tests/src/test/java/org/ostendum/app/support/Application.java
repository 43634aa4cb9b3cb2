package org.ostendum.app.support;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** The application as a process of its own, so that it can be killed. */
public final class Application implements AutoCloseable {
    private static final String DEMO = "org.ostendum.demo.Demo";
    private static final String SITE = "org.ostendum.app.Ostendum";

    private final String databaseUrl;
    private final String main;
    private final int port;
    private final ProcessFolder folder = new ProcessFolder("ostendum-application-");
    private final Path classes = folder.path().resolve("classes.jsa");
    private Process process;

    /** @param databaseUrl of a database that the demo is already in */
    public Application(String databaseUrl) throws IOException, InterruptedException {
        this(databaseUrl, DEMO);
    }

    /** A site of nobody yet, on an empty database. */
    public static Application ofEmptySite(String databaseUrl) throws IOException, InterruptedException {
        return new Application(databaseUrl, SITE);
    }

    private Application(String databaseUrl, String main) throws IOException, InterruptedException {
        this.databaseUrl = databaseUrl;
        this.main = main;
        try (ServerSocket socket = new ServerSocket(0)) {
            this.port = socket.getLocalPort();
        }
        start();
    }

    public void start() throws IOException, InterruptedException {
        start(Files.exists(classes) ? List.of("-XX:SharedArchiveFile=" + classes) : List.of());
    }

    /** Ends it in order and starts it again with its classes at hand, as every start but the first of {@code ./ostendum} does. */
    public void keepClasses() throws IOException, InterruptedException {
        kill();
        start(List.of("-XX:ArchiveClassesAtExit=" + classes));
        process.destroy();
        process.waitFor();
        start();
    }

    private void start(List<String> options) throws IOException, InterruptedException {
        List<String> command =
                new ArrayList<>(List.of(ProcessHandle.current().info().command().orElse("java")));
        command.addAll(options);
        command.addAll(List.of(
                "-Xmx512m",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-Dspring.aot.enabled=true",
                "-Djava.io.tmpdir=" + folder.path(),
                "-cp",
                classPath(),
                main,
                "--ostendum.live.beat=1s"));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("OSTENDUM_DB_URL", databaseUrl);
        builder.environment().put("OSTENDUM_FIRST_SIGN_IN", folder.path() + "/first-sign-in");
        builder.environment().put("OSTENDUM_PROXIES", "127\\.0\\.0\\.1");
        builder.environment().put("OSTENDUM_PORT", String.valueOf(port));
        process = folder.start(builder);
        awaitReady();
    }

    /** @return the password of the first lead of an empty site, as its file tells it */
    public String firstPassword() throws IOException {
        return Files.readString(folder.path().resolve("first-sign-in")).strip().split(" ", 2)[1];
    }

    /** Until it answers that it is in order. */
    public void awaitReady() {
        folder.await("The application", Duration.ofSeconds(120), process, this::answers);
    }

    /** Without the tests, whose clocks and equipment it would find. */
    private static String classPath() {
        return Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(entry -> !entry.contains("test"))
                .collect(Collectors.joining(File.pathSeparator));
    }

    private boolean answers() throws InterruptedException {
        try {
            URI health = URI.create("http://127.0.0.1:" + port + "/actuator/health/readiness");
            return HttpClient.newHttpClient()
                            .send(HttpRequest.newBuilder(health).build(), HttpResponse.BodyHandlers.discarding())
                            .statusCode()
                    == 200;
        } catch (IOException notYet) {
            return false;
        }
    }

    /** @return what it has said since it was started */
    public String said() {
        return folder.said();
    }

    /** Ends it at once, with no time to put anything away. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    public int port() {
        return port;
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
