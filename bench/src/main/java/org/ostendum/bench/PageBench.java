package org.ostendum.bench;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
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
    private static final int WARM_UP = 500;
    private static final int MEASURED = 400;
    private static final int FEW_WARM_UP = 10;
    private static final int FEW_MEASURED = 40;
    private static final int CELLS = 20;

    private final Random random = new Random(5);
    private final SignedIn client;
    private final Program program;
    private final ScratchSite site;

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
            System.out.printf("%n%-10s %-12s %10s %10s %10s%n", "batteries", "request", "p50 ms", "p95 ms", "bytes");
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
        int rooms = site.rooms();
        time("room", () -> client.get("/rooms/r" + (1 + random.nextInt(rooms))));
        time("battery", () -> client.get("/batteries/B-" + (1 + random.nextInt(site.batteries()))));
        int[] cell = {0};
        String[] round = {""};
        time(
                "value",
                () -> {
                    if (cell[0] == CELLS) {
                        client.post(round[0] + "/close", "");
                        cell[0] = 0;
                    }
                    if (cell[0] == 0) {
                        round[0] = beginRound();
                    }
                    cell[0]++;
                },
                () -> client.post(
                        round[0] + "/values",
                        "key=" + UUID.randomUUID() + "&cell=" + cell[0] + "&field=GRAVITY&value=28"
                                + random.nextInt(10)));
        client.post(round[0] + "/close", "");
        String tenYears = TenYears.body();
        time("judge", () -> {}, () -> program.post("/api/v1/judge", tenYears), 200, 200);
        timeFew("fleet", () -> client.get("/fleet"));
        timeFew("one found", () -> client.get("/fleet?find=b-77&by=DAYS"));
        timeFew("charging", () -> client.get("/charging"));
        timeFew("watering", () -> client.get("/watering"));
        timeFew("mine", () -> client.get("/mine"));
        timeFew("jobs", () -> client.get("/jobs"));
    }

    /** Pages of the whole site: so much longer that fewer of them tell as much. */
    private void timeFew(String name, Request request) throws Exception {
        time(name, () -> {}, request, FEW_WARM_UP, FEW_MEASURED);
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

    private void time(String name, Request request) throws Exception {
        time(name, () -> {}, request);
    }

    private void time(String name, Preparation before, Request request) throws Exception {
        time(name, before, request, WARM_UP, MEASURED);
    }

    private void time(String name, Preparation before, Request request, int warmUp, int measured) throws Exception {
        for (int i = 0; i < warmUp; i++) {
            before.prepare();
            request.send();
        }
        double[] milliseconds = new double[measured];
        int bytes = 0;
        for (int i = 0; i < measured; i++) {
            before.prepare();
            long start = System.nanoTime();
            HttpResponse<String> answer = request.send();
            milliseconds[i] = (System.nanoTime() - start) / 1e6;
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(name + " answered " + answer.statusCode());
            }
            bytes = answer.body().length();
        }
        Arrays.sort(milliseconds);
        System.out.printf(
                "%-10d %-12s %10.1f %10.1f %10d%n",
                site.batteries(), name, milliseconds[measured / 2], milliseconds[measured * 95 / 100], bytes);
    }
}
