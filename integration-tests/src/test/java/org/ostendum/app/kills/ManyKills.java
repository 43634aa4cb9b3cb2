package org.ostendum.app.kills;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.ostendum.app.support.Application;
import org.ostendum.app.support.MariaDbServer;
import org.ostendum.app.support.Patience;
import org.ostendum.app.support.Visitor;

/**
 * {@code ./ostendum bench kills N}: the application or its database killed at any moment, N times, while people key rounds, write down
 * what they did and send files. Nothing that was answered may be lost or stand there twice. Not one of the tests: it takes long.
 */
class ManyKills {
    private static final int USUAL = 300;
    /** Of ten kills so many are of the database. */
    private static final int OF_DATABASE = 3;

    /** Those after it are used by the other workers. */
    private static final int LAST_FREE = 20;

    /** Within it everything is to be ready again. */
    private static final Duration AIM = Duration.ofSeconds(10);

    private final Random random = new Random(17);
    private final List<Long> afterApplication = new ArrayList<>();
    private final List<Long> afterDatabase = new ArrayList<>();

    @Test
    void nothingAnsweredIsLostOrTwice() throws Exception {
        int kills = Integer.getInteger("kills", USUAL);
        MariaDbServer database = new MariaDbServer(true);
        try (Application application = new Application(database.url())) {
            application.keepClasses();
            List<String> read = mayBeRead(application.port());
            List<Worker> workers = List.of(
                    new KeyedValues(application.port(), read.get(0)),
                    new KeyedValues(application.port(), read.get(1)),
                    new WrittenLines(application.port(), "T-21"),
                    new SentFiles(application.port(), "T-22"),
                    new RunJobs(application.port(), "T-23"),
                    new SentCharges(application.port(), "T-27"));
            workers.forEach(Worker::start);
            for (int i = 0; i < kills; i++) {
                TimeUnit.MILLISECONDS.sleep(300 + random.nextInt(3000));
                killOne(application, database);
            }
            for (Worker worker : workers) {
                worker.finish();
            }
            try (Connection connection = DriverManager.getConnection(database.url(), "ostendum", "ostendum");
                    Statement statement = connection.createStatement()) {
                for (Worker worker : workers) {
                    System.out.println(worker.told());
                    worker.check(statement);
                    assertThat(worker.answered()).as(worker.told()).isPositive();
                }
            }
            tell("the application", afterApplication);
            tell("the database", afterDatabase);
            assertThat(pastOf(application.port())).contains("As it was written");
        } finally {
            database.kill();
        }
    }

    /** Which batteries take a round depends on the day: one that was just watered is read after a charge. */
    private static List<String> mayBeRead(int port) throws Exception {
        Visitor tom = new Visitor(port);
        assertThat(tom.signIn("tom", "lanternmoor")).isTrue();
        List<String> open = new ArrayList<>();
        for (int i = 1; i <= LAST_FREE && open.size() < 2; i++) {
            String code = String.format(Locale.ROOT, "T-%02d", i);
            if (tom.get("/batteries/" + code + "/round").body().contains("name=\"state\"")) {
                open.add(code);
            }
        }
        return open;
    }

    private void killOne(Application application, MariaDbServer database) throws Exception {
        boolean ofDatabase = random.nextInt(10) < OF_DATABASE;
        long begun = System.nanoTime();
        long databaseBack = begun;
        if (ofDatabase) {
            database.kill();
            database.start();
            databaseBack = System.nanoTime();
            application.awaitReady();
        } else {
            application.kill();
            application.start();
        }
        long ready = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
        (ofDatabase ? afterDatabase : afterApplication).add(ready);
        note(ofDatabase, ready, TimeUnit.NANOSECONDS.toMillis(databaseBack - begun), application);
    }

    /** Each in its order, and of a slow one what it said, so that the cause can be found. */
    private void note(boolean ofDatabase, long ready, long databaseBack, Application application) throws IOException {
        Path folder = Files.createDirectories(Path.of("target", "kills"));
        int number = afterApplication.size() + afterDatabase.size();
        String what = "%03d %s ready after %d ms, the database after %d%n"
                .formatted(number, ofDatabase ? "database" : "application", ready, databaseBack);
        Files.writeString(folder.resolve("each.txt"), what, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        if (ready > AIM.toMillis()) {
            Files.writeString(folder.resolve("slow-%03d.log".formatted(number)), what + application.said());
        }
    }

    private static void tell(String what, List<Long> readyAfter) {
        if (readyAfter.isEmpty()) {
            return;
        }
        long[] sorted = readyAfter.stream().mapToLong(Long::longValue).sorted().toArray();
        System.out.printf(
                "%d kills of %s; ready again after %.1f s (median), %.1f s (95 of 100), %.1f s at most%n",
                sorted.length,
                what,
                sorted[sorted.length / 2] / 1000.0,
                sorted[(int) (0.95 * (sorted.length - 1))] / 1000.0,
                Arrays.stream(sorted).max().orElse(0) / 1000.0);
    }

    private static String pastOf(int port) throws Exception {
        Visitor maud = new Visitor(port);
        assertThat(maud.signIn("maud", "lanternmoor")).isTrue();
        maud.get("/past");
        maud.post("/past");
        return Patience.await("the past is looked at", Duration.ofSeconds(60))
                .until(() -> maud.get("/past").body(), page -> page.contains("Last look:"));
    }

    /** @return what a query answers, one text for each row */
    static Set<String> ask(Statement statement, String query) throws Exception {
        Set<String> rows = new HashSet<>();
        int all = 0;
        try (ResultSet answer = statement.executeQuery(query)) {
            while (answer.next()) {
                rows.add(answer.getString(1));
                all++;
            }
        }
        assertThat(rows).as("none twice: " + query).hasSize(all);
        return rows;
    }
}
