package org.ostendum.bench;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ostendum.app.Ostendum;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.people.People;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.safety.StationCheck;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** Times of whole pages over HTTP, at growing numbers of batteries with ten years of weekly rounds. */
final class PageBench {
    /** As of a site that has been used since the morning: its code is compiled. */
    private static final int WARM_UP = 2_000;

    private static final int FEW_WARM_UP = 200;
    private static final int TURNS = 8;
    private static final int IN_A_TURN = 100;
    private static final int FEW_IN_A_TURN = 20;
    private static final int CELLS = 20;

    private final Random random = new Random(5);
    private final SignedIn client;
    private final Program program;
    private final ScratchSite site;
    private final String tenYears = TenYears.body();
    private String round = "";
    private int cell;

    private PageBench(SignedIn client, Program program, ScratchSite site) {
        this.client = client;
        this.program = program;
        this.site = site;
    }

    /** One request to be timed. */
    private interface Request {
        HttpResponse<String> send() throws Exception;
    }

    /** What goes before a request, untimed. */
    private interface Preparation {
        void prepare() throws Exception;
    }

    static void run(int[] sizes) throws Exception {
        Path folder = Files.createTempDirectory("ostendum-bench-");
        try (ConfigurableApplicationContext application = SpringApplication.run(
                Ostendum.class, "--server.port=0", "--ostendum.demo=false", "--logging.level.root=warn")) {
            SignedIn client = SignedIn.lead(application);
            ScratchSite site = new ScratchSite(application.getBean(JdbcTemplate.class), folder);
            site.addModel();
            PageBench bench = new PageBench(client, Program.of(application), site);
            System.out.printf(
                    "%n%-10s %-12s %10s %10s %7s %10s %10s %10s%n",
                    "batteries", "request", "p50 ms", "p95 ms", "quiet", "stolen", "all p50", "all p95");
            for (int size : sizes) {
                Instant start = Instant.now();
                site.growTo(size);
                keepStations(application, site.rooms());
                BatteryStates states = application.getBean(BatteryStates.class);
                states.statesOf(application.getBean(Batteries.class).all());
                System.out.printf(
                        "%-10d readings: %,d, filled and judged in %d s%n",
                        size,
                        (long) size * ScratchSite.WEEKS * 20,
                        Duration.between(start, Instant.now()).toSeconds());
                bench.measure();
            }
        }
    }

    /** No cap comes off in a room whose eyewash nobody has looked after: no round could be begun. */
    static void keepStations(ConfigurableApplicationContext application, int rooms) {
        Stations stations = application.getBean(Stations.class);
        long person =
                application.getBean(People.class).byLogin("bench").orElseThrow().id();
        for (long room = 1; room <= rooms; room++) {
            if (stations.of(room).isEmpty()) {
                for (StationCheck check : StationCheck.values()) {
                    stations.check(stations.add(room, check, check.name()), true, "", person);
                }
            }
        }
    }

    private void measure() throws Exception {
        List<Timed> requests = List.of(
                page("room", () -> client.get("/rooms/r" + (1 + random.nextInt(site.rooms())))),
                page("battery", () -> client.get("/batteries/B-" + (1 + random.nextInt(site.batteries())))),
                new Timed("value", this::nextCell, this::keepValue, WARM_UP, IN_A_TURN),
                new Timed("judge", () -> {}, () -> program.post("/api/v1/judge", tenYears), FEW_WARM_UP, FEW_IN_A_TURN),
                list("fleet", "/fleet"),
                list("one found", "/fleet?find=b-77&by=DAYS"),
                list("charging", "/charging"),
                list("watering", "/watering"),
                list("mine", "/mine"),
                list("jobs", "/jobs"));
        for (Timed request : requests) {
            request.send(request.warmUp());
        }
        StolenTime stolen = new StolenTime();
        for (int turn = 0; turn < TURNS; turn++) {
            for (Timed request : requests) {
                stolen.sinceLast();
                List<Double> milliseconds = request.send(request.inATurn());
                request.times().add(milliseconds, stolen.sinceLast());
            }
        }
        for (Timed request : requests) {
            System.out.printf("%-10d %-12s %s%n", site.batteries(), request.name(), request.times());
        }
        client.post(round + "/close", "");
    }

    private static Timed page(String name, Request request) {
        return new Timed(name, () -> {}, request, WARM_UP, IN_A_TURN);
    }

    /** Of the whole site: so much longer that fewer of them tell as much. */
    private Timed list(String name, String path) {
        return new Timed(name, () -> {}, () -> client.get(path), FEW_WARM_UP, FEW_IN_A_TURN);
    }

    /** One kind of request and its times so far. */
    private record Timed(
            String name, Preparation before, Request request, int warmUp, int inATurn, TimesOfTurns times) {
        Timed(String name, Preparation before, Request request, int warmUp, int inATurn) {
            this(name, before, request, warmUp, inATurn, new TimesOfTurns());
        }

        /** @return what each of so many took, in milliseconds */
        List<Double> send(int count) throws Exception {
            List<Double> milliseconds = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                before.prepare();
                long start = System.nanoTime();
                HttpResponse<String> answer = request.send();
                milliseconds.add((System.nanoTime() - start) / 1e6);
                if (answer.statusCode() != 200) {
                    throw new IllegalStateException(name + " answered " + answer.statusCode());
                }
            }
            return milliseconds;
        }
    }

    private void nextCell() throws Exception {
        if (cell == CELLS) {
            client.post(round + "/close", "");
            cell = 0;
        }
        if (cell == 0) {
            round = beginRound();
        }
        cell++;
    }

    private HttpResponse<String> keepValue() throws Exception {
        return client.post(
                round + "/values",
                "key=" + UUID.randomUUID() + "&cell=" + cell + "&field=GRAVITY&value=28" + random.nextInt(10));
    }

    /** @return the path of a round begun on any battery */
    private String beginRound() throws Exception {
        String battery = "/batteries/B-" + (1 + random.nextInt(site.batteries())) + "/round";
        client.post(battery, "state=FULL_CHARGE");
        Matcher round = Pattern.compile("data-round=\"(\\d+)\"")
                .matcher(client.get(battery).body());
        if (!round.find()) {
            throw new IllegalStateException("No round was opened");
        }
        return "/rounds/" + round.group(1);
    }
}
