package org.ostendum.bench;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ostendum.app.Ostendum;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.people.Role;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Many people at once: technicians who key rounds, each on a battery of his own, and readers who open pages. First as people do, a
 * value every three seconds and a page every ten, then the technicians without a pause, to see what the machine carries.
 */
final class LoadBench {
    private static final int TECHNICIANS = 60;
    private static final int READERS = 200;
    private static final int BATTERIES = 200;
    private static final int CELLS = 20;
    private static final Duration BETWEEN_VALUES = Duration.ofSeconds(3);
    private static final Duration BETWEEN_PAGES = Duration.ofSeconds(10);
    private static final int ARRIVED_WITHIN_MILLIS = 60_000;
    /** Without pauses they are only looked at for so long. */
    private static final int FLAT_OUT_SECONDS = 120;

    private final List<SignedIn> technicians = new ArrayList<>();
    private final List<SignedIn> readers = new ArrayList<>();
    private final JdbcTemplate sql;
    private final Queue<Long> values = new ConcurrentLinkedQueue<>();
    private final Queue<Long> pages = new ConcurrentLinkedQueue<>();
    private final AtomicLong refused = new AtomicLong();
    private final AtomicLong kept = new AtomicLong();

    private LoadBench(JdbcTemplate sql) {
        this.sql = sql;
    }

    static void run(int seconds) throws Exception {
        Path folder = Files.createTempDirectory("ostendum-bench-");
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Ostendum.class,
                "--server.port=0",
                "--ostendum.demo=false",
                "--logging.level.root=warn",
                "--ostendum.sign-in.first=" + folder.resolve("first"))) {
            SignedIn.lead(application);
            ScratchSite site = new ScratchSite(application.getBean(JdbcTemplate.class), folder);
            site.addModel();
            site.growTo(BATTERIES);
            PageBench.keepStations(application, site.rooms());
            application
                    .getBean(BatteryStates.class)
                    .statesOf(application.getBean(Batteries.class).all());
            LoadBench bench = new LoadBench(application.getBean(JdbcTemplate.class));
            for (int i = 0; i < TECHNICIANS; i++) {
                bench.technicians.add(SignedIn.somebody(application, "t" + i, Role.TECHNICIAN));
            }
            for (int i = 0; i < READERS; i++) {
                bench.readers.add(SignedIn.somebody(application, "r" + i, Role.VIEWER));
            }
            System.out.printf(
                    "%n%-12s %12s %10s %10s %12s %10s %10s %8s %8s%n",
                    "", "values/s", "p50 ms", "p95 ms", "pages/s", "p50 ms", "p95 ms", "refused", "lost");
            bench.measure("as people", seconds, BETWEEN_VALUES);
            bench.measure("flat out", FLAT_OUT_SECONDS, Duration.ZERO);
        }
    }

    private void measure(String how, int seconds, Duration pause) throws Exception {
        values.clear();
        pages.clear();
        refused.set(0);
        kept.set(0);
        long before = count();
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        ExecutorService people = Executors.newCachedThreadPool();
        List<Future<Void>> working = new ArrayList<>();
        for (int i = 0; i < TECHNICIANS; i++) {
            working.add(people.submit(keying(technicians.get(i), i + 1, pause, end)));
        }
        for (int i = 0; i < READERS; i++) {
            working.add(people.submit(reading(readers.get(i), new Random(i), end)));
        }
        for (Future<Void> each : working) {
            each.get();
        }
        people.shutdown();
        long lost = kept.get() - (count() - before);
        System.out.printf(
                "%-12s %12.1f %10.1f %10.1f %12.1f %10.1f %10.1f %8d %8d%n",
                how,
                values.size() / (double) seconds,
                quantile(values, 0.5),
                quantile(values, 0.95),
                pages.size() / (double) seconds,
                quantile(pages, 0.5),
                quantile(pages, 0.95),
                refused.get(),
                lost);
    }

    private long count() {
        Long rows = sql.queryForObject("select count(*) from round_value", Long.class);
        return rows == null ? 0 : rows;
    }

    /** One technician on a battery of his own: round after round, cell after cell. */
    private Callable<Void> keying(SignedIn technician, int battery, Duration pause, long end) {
        Random random = new Random(battery);
        return () -> {
            arrives(random);
            while (System.nanoTime() < end) {
                String round = begin(technician, "/batteries/B-" + battery + "/round");
                if (round.isEmpty()) {
                    refused.incrementAndGet();
                    waits(BETWEEN_VALUES, random);
                    continue;
                }
                for (int cell = 1; cell <= CELLS && System.nanoTime() < end; cell++) {
                    String form = "key=" + UUID.randomUUID() + "&cell=" + cell + "&field=GRAVITY&value=28"
                            + random.nextInt(10);
                    if (timed(values, () -> technician.post(round + "/values", form))) {
                        kept.incrementAndGet();
                    }
                    waits(pause, random);
                }
                technician.post(round + "/close", "");
            }
            return null;
        };
    }

    /** @return the path of the round; empty where none was opened */
    private static String begin(SignedIn technician, String battery) throws Exception {
        technician.post(battery, "state=FULL_CHARGE");
        Matcher round = Pattern.compile("data-round=\"(\\d+)\"")
                .matcher(technician.get(battery).body());
        return round.find() ? "/rounds/" + round.group(1) : "";
    }

    private Callable<Void> reading(SignedIn reader, Random random, long end) {
        return () -> {
            arrives(random);
            while (System.nanoTime() < end) {
                String page = random.nextBoolean() ? "/rooms/r1" : "/batteries/B-" + (1 + random.nextInt(BATTERIES));
                timed(pages, () -> reader.get(page));
                waits(BETWEEN_PAGES, random);
            }
            return null;
        };
    }

    /** @return whether it was answered as it should be */
    private boolean timed(Queue<Long> times, Callable<HttpResponse<String>> request) throws Exception {
        long begun = System.nanoTime();
        int status = request.call().statusCode();
        times.add(System.nanoTime() - begun);
        if (status != 200) {
            refused.incrementAndGet();
        }
        return status == 200;
    }

    /** A shift comes in over a minute. */
    private static void arrives(Random random) throws InterruptedException {
        TimeUnit.MILLISECONDS.sleep(random.nextInt(ARRIVED_WITHIN_MILLIS));
    }

    /** Half as long to one and a half times as long. */
    private static void waits(Duration usual, Random random) throws InterruptedException {
        TimeUnit.MILLISECONDS.sleep((long) (usual.toMillis() * (0.5 + random.nextDouble())));
    }

    private static double quantile(Queue<Long> nanos, double part) {
        long[] sorted = nanos.stream().mapToLong(Long::longValue).toArray();
        Arrays.sort(sorted);
        return sorted.length == 0 ? Double.NaN : sorted[(int) (part * (sorted.length - 1))] / 1e6;
    }
}
