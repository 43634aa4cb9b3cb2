package org.ostendum.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.Random;
import org.ostendum.app.Ostendum;
import org.ostendum.app.people.People;
import org.ostendum.core.people.Role;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * A file of a million readings taken in over the API, checked line by line and chained on the ledgers, beside the same file
 * through the database's own bulk load into a bare table.
 */
final class ImportBench {
    private static final int BATTERIES = 200;
    private static final int CELLS = 20;
    private static final String PASSWORD = "bench-password";

    private ImportBench() {}

    /** @param readings rounded down to whole rounds of all batteries */
    static void run(int readings) throws Exception {
        Path folder = Files.createTempDirectory("ostendum-bench-");
        Path file = folder.resolve("rounds.csv");
        int rounds = Math.max(1, readings / (BATTERIES * CELLS));
        int rows = write(file, rounds);
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Ostendum.class, "--server.port=0", "--ostendum.demo=false", "--logging.level.root=warn")) {
            JdbcTemplate sql = application.getBean(JdbcTemplate.class);
            application
                    .getBean(People.class)
                    .add(
                            "bench",
                            "Bench",
                            Role.LEAD,
                            application.getBean(PasswordEncoder.class).encode(PASSWORD));
            addBatteries(sql, folder);
            String home = "http://127.0.0.1:" + application.getEnvironment().getProperty("local.server.port");
            System.out.printf(
                    "%n%,d readings, %d rounds of %d batteries, %,d bytes%n",
                    rows, rounds, BATTERIES, Files.size(file));
            tell("bulk load", rows, bulkLoad(sql, file, rows));
            tell("looked at", rows, send(home + "/api/v1/rounds.csv?preview=true", file));
            tell("taken in", rows, send(home + "/api/v1/rounds.csv", file));
            Long kept = sql.queryForObject("select count(*) from cell_reading", Long.class);
            if (kept == null || kept != rows) {
                throw new IllegalStateException("On record are " + kept + " of " + rows + " readings");
            }
        }
        Files.delete(file);
    }

    private static int write(Path file, int rounds) throws IOException {
        Random random = new Random(11);
        Instant last = Instant.now().truncatedTo(ChronoUnit.HOURS).minus(Duration.ofDays(2));
        int rows = 0;
        try (BufferedWriter writer = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
            writer.write("battery,taken_at,state,cell,sg,temperature_c\n");
            for (int round = rounds; round > 0; round--) {
                Instant at = last.minus(Duration.ofDays(7L * round));
                for (int battery = 1; battery <= BATTERIES; battery++) {
                    for (int cell = 1; cell <= CELLS; cell++) {
                        double gravity = 1.284 + Math.rint(random.nextGaussian() * 3) / 1000;
                        writer.write(String.format("I-%d,%s,full_charge,%d,%.3f,24.5%n", battery, at, cell, gravity));
                        rows++;
                    }
                }
            }
        }
        return rows;
    }

    private static void addBatteries(JdbcTemplate sql, Path folder) {
        new ScratchSite(sql, folder).addModel();
        for (int battery = 1; battery <= BATTERIES; battery++) {
            sql.update(
                    "insert into battery (code, serial, model_id, in_service_on) values (?, ?, 1, '2015-01-01')",
                    "I-" + battery,
                    "IS" + battery);
        }
    }

    /** No check, no chain, no round: the text of each line into columns. */
    private static Duration bulkLoad(JdbcTemplate sql, Path file, int rows) {
        sql.execute("create table bulk (battery varchar(20), taken_at varchar(30), state varchar(20), cell smallint,"
                + " sg decimal(5, 3), temperature_c decimal(4, 1))");
        Instant start = Instant.now();
        sql.execute("load data local infile '" + file + "' into table bulk fields terminated by ',' ignore 1 lines");
        Duration taken = Duration.between(start, Instant.now());
        Long loaded = sql.queryForObject("select count(*) from bulk", Long.class);
        sql.execute("drop table bulk");
        if (loaded == null || loaded != rows) {
            throw new IllegalStateException("Loaded were " + loaded + " of " + rows + " lines");
        }
        return taken;
    }

    private static Duration send(String address, Path file) throws Exception {
        String name = Base64.getEncoder().encodeToString(("bench:" + PASSWORD).getBytes(StandardCharsets.UTF_8));
        HttpRequest request = HttpRequest.newBuilder(URI.create(address))
                .header("Content-Type", "text/csv")
                .header("Authorization", "Basic " + name)
                .POST(HttpRequest.BodyPublishers.ofFile(file))
                .build();
        Instant start = Instant.now();
        HttpResponse<String> answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.statusCode() + " " + answer.body());
        }
        return Duration.between(start, Instant.now());
    }

    private static void tell(String what, int rows, Duration taken) {
        double seconds = taken.toMillis() / 1000.0;
        System.out.printf("%-10s %8.1f s %,12.0f rows/s%n", what, seconds, rows / seconds);
    }
}
