package org.ostendum.bench;

import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ostendum.core.safety.Training;
import org.ostendum.web.Ostendum;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.People;
import org.ostendum.web.store.Role;
import org.ostendum.web.store.Trainings;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Times of whole pages over HTTP, at growing numbers of batteries with ten years of weekly rounds. */
final class PageBench {
    private static final int WARM_UP = 500;
    private static final int MEASURED = 400;
    private static final int FEW_WARM_UP = 10;
    private static final int FEW_MEASURED = 40;
    private static final int CELLS = 20;
    private static final String PASSWORD = "bench-password";

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final Random random = new Random(5);
    private final String home;
    private final ScratchHouse house;
    private String token = "";

    private PageBench(String home, ScratchHouse house) {
        this.home = home;
        this.house = house;
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
            long person = application
                    .getBean(People.class)
                    .add(
                            "bench",
                            "Bench",
                            Role.LEAD,
                            application.getBean(PasswordEncoder.class).encode(PASSWORD));
            application
                    .getBean(Trainings.class)
                    .hold(person, Training.BATTERY_CARE, LocalDate.now(ZoneOffset.UTC), person);
            ScratchHouse house = new ScratchHouse(application.getBean(JdbcTemplate.class), folder);
            house.addModel();
            String port = application.getEnvironment().getProperty("local.server.port");
            PageBench bench = new PageBench("http://127.0.0.1:" + port, house);
            bench.signIn();
            System.out.printf("%n%-10s %-12s %10s %10s %10s%n", "batteries", "request", "p50 ms", "p95 ms", "bytes");
            for (int size : sizes) {
                Instant start = Instant.now();
                house.growTo(size);
                var judged = application.getBean(org.ostendum.web.judgement.Bench.class);
                judged.statesOf(application.getBean(Batteries.class).all());
                System.out.printf(
                        "%-10d readings: %,d, filled and judged in %d s%n",
                        size,
                        (long) size * ScratchHouse.WEEKS * 20,
                        Duration.between(start, Instant.now()).toSeconds());
                bench.measure();
            }
        }
    }

    private void measure() throws Exception {
        int rooms = (house.batteries() - 1) / ScratchHouse.BATTERIES_PER_ROOM + 1;
        time("room", () -> get("/rooms/r" + (1 + random.nextInt(rooms))));
        time("battery", () -> get("/batteries/B-" + (1 + random.nextInt(house.batteries()))));
        int[] cell = {0};
        String[] round = {""};
        time(
                "value",
                () -> {
                    if (cell[0] == CELLS) {
                        post(round[0] + "/close", "");
                        cell[0] = 0;
                    }
                    if (cell[0] == 0) {
                        round[0] = beginRound();
                    }
                    cell[0]++;
                },
                () -> post(
                        round[0] + "/values",
                        "key=" + UUID.randomUUID() + "&cell=" + cell[0] + "&field=GRAVITY&value=28"
                                + random.nextInt(10)));
        post(round[0] + "/close", "");
        timeFew("fleet", () -> get("/fleet"));
        timeFew("one found", () -> get("/fleet?find=b-77&by=DAYS"));
        timeFew("charging", () -> get("/charging"));
        timeFew("watering", () -> get("/watering"));
    }

    /** Pages of the whole house: so much longer that fewer of them tell as much. */
    private void timeFew(String name, Request request) throws Exception {
        time(name, () -> {}, request, FEW_WARM_UP, FEW_MEASURED);
    }

    /** @return the path of a round begun on any battery */
    private String beginRound() throws Exception {
        String battery = "/batteries/B-" + (1 + random.nextInt(house.batteries())) + "/round";
        post(battery, "state=FULL_CHARGE");
        Matcher round =
                Pattern.compile("data-round=\"(\\d+)\"").matcher(get(battery).body());
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
                house.batteries(), name, milliseconds[measured / 2], milliseconds[measured * 95 / 100], bytes);
    }

    private void signIn() throws Exception {
        readToken(get("/sign-in"));
        post("/sign-in", "login=bench&password=" + PASSWORD);
        readToken(get("/me"));
    }

    private void readToken(HttpResponse<String> page) {
        Matcher matcher = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"").matcher(page.body());
        if (matcher.find()) {
            token = matcher.group(1);
        }
    }

    private HttpResponse<String> get(String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> post(String path, String form) throws Exception {
        String body = form + "&_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8);
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
