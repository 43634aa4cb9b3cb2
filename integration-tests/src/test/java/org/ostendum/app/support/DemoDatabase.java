package org.ostendum.app.support;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.ostendum.app.Ostendum;
import org.ostendum.demo.DemoBeans;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.annotation.Bean;

/**
 * The demo's database, filled once for each day and each state of the code, and copied by whoever wants one of his own: filling
 * it takes most of a minute, copying it a second.
 */
final class DemoDatabase {
    private static final Path SHELF = Path.of("/tmp");
    private static final String NAME = "ostendum-demo-database-";
    /** Filled by a clock a little behind that of the tests, so that nothing in it lies ahead of them. */
    private static final Duration BEFORE = Duration.ofMinutes(2);

    private DemoDatabase() {}

    /** Forks of one run wait for the first of them. */
    static MariaDbServer copy() {
        Path lock = SHELF.resolve(NAME + System.getProperty("user.name") + ".lock");
        try (FileChannel channel = FileChannel.open(lock, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = channel.lock()) {
            Path data = SHELF.resolve(NAME + key());
            if (held.isValid() && !Files.exists(data)) {
                dropOlder();
                fill(data);
            }
            return MariaDbServer.onCopyOf(data);
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException("The demo's database could not be filled", e);
        }
    }

    /** Without a stereotype, so that no other application of this JVM finds it. */
    static class EarlierClock {
        @Bean
        Clock clock() {
            return Clock.offset(TestClock.shows(), BEFORE.negated());
        }
    }

    private static void fill(Path data) throws IOException, InterruptedException {
        MariaDbServer server = new MariaDbServer(false);
        new SpringApplicationBuilder(Ostendum.class, EarlierClock.class)
                .initializers(new DemoBeans())
                .run(
                        "--ostendum.demo=true",
                        "--ostendum.devices.listen=false",
                        "--server.port=0",
                        "--spring.main.allow-bean-definition-overriding=true",
                        "--spring.datasource.url=" + server.url())
                .close();
        server.stop();
        Files.move(server.folder(), data);
    }

    private static void dropOlder() throws IOException {
        List<Path> older;
        try (Stream<Path> files = Files.list(SHELF)) {
            older = files.filter(f -> f.getFileName().toString().startsWith(NAME) && Files.isDirectory(f))
                    .toList();
        }
        for (Path folder : older) {
            try (Stream<Path> inside = Files.walk(folder)) {
                inside.sorted((a, b) -> b.compareTo(a))
                        .forEach(file -> file.toFile().delete());
            }
        }
    }

    /** The day, and every class and file of ours on the class path but the tests'. */
    private static String key() throws IOException {
        MessageDigest digest = digest();
        digest.update(TestClock.today().toString().getBytes(StandardCharsets.UTF_8));
        for (String entry : System.getProperty("java.class.path").split(":")) {
            if (entry.matches(".*/(core|sim|app|demo)/target/.*") && !entry.contains("test")) {
                add(Path.of(entry), digest);
            }
        }
        return HexFormat.of().formatHex(digest.digest()).substring(0, 20);
    }

    private static void add(Path entry, MessageDigest digest) throws IOException {
        List<Path> files;
        try (Stream<Path> inside = Files.walk(entry)) {
            files = inside.filter(Files::isRegularFile).sorted().toList();
        }
        for (Path file : files) {
            try (InputStream in = new DigestInputStream(Files.newInputStream(file), digest)) {
                in.transferTo(OutputStream.nullOutputStream());
            }
        }
    }

    private static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
