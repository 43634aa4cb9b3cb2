package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.ostendum.app.support.Application;
import org.ostendum.app.support.MariaDbServer;
import org.ostendum.app.support.Patience;
import org.ostendum.app.support.ProxyProcess;
import org.ostendum.app.support.Visitor;

/** The application as a process of its own, on an empty database that can be taken from it. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ApplicationAloneTest {
    private MariaDbServer database;
    private Application application;

    @BeforeAll
    void start() throws Exception {
        database = new MariaDbServer(true);
        application = Application.ofEmptySite(database.url());
    }

    @AfterAll
    void end() throws Exception {
        application.close();
        database.kill();
    }

    /** Looking leaves nothing behind: a thousand who never sign in are no thousand sessions. */
    @Test
    void whoOnlyLooksHasNoSession() throws Exception {
        for (String path : new String[] {"/sign-in", "/first-aid", "/fleet", "/no-such-page"}) {
            assertThat(new Visitor(application.port()).get(path).headers().allValues("Set-Cookie"))
                    .as(path)
                    .noneMatch(cookie -> cookie.startsWith("ostendum="));
        }
    }

    /** The example of the handbook, with a certificate of its own. */
    @Test
    void behindAProxyCookiesAreSecureAndRedirectsStay(@TempDir Path folder) throws Exception {
        try (ProxyProcess proxy = new ProxyProcess(folder, application.port())) {
            HttpResponse<String> redirected = proxy.get("/fleet", "X-Forwarded-Proto", "http");
            assertThat(redirected.headers().firstValue("Location")).contains("/sign-in");
            assertThat(redirected
                            .headers()
                            .firstValue("Strict-Transport-Security")
                            .orElse(""))
                    .contains("max-age=31536000");
            HttpResponse<String> page = proxy.get("/sign-in");
            assertThat(page.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure"));
        }
    }

    /** Whoever is no proxy of ours says in vain that he came encrypted. */
    @Test
    void aStrangersWordIsNotTaken() throws Exception {
        try (Socket stranger = new Socket()) {
            stranger.bind(new InetSocketAddress("127.0.0.3", 0));
            stranger.connect(new InetSocketAddress("127.0.0.1", application.port()));
            stranger.getOutputStream()
                    .write("GET /sign-in HTTP/1.0\r\nHost: x\r\nX-Forwarded-Proto: https\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(stranger.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).contains("Set-Cookie: ostendum-form").doesNotContain("Secure", "Strict-Transport");
        }
    }

    /** From nothing to the first value of the first round: seven files, five forms, and a technician. */
    @Test
    void aNewSiteComesToItsFirstRound() throws Exception {
        String lead = "lead:" + application.firstPassword();
        Visitor first = new Visitor(application.port());
        assertThat(first.signIn("lead", application.firstPassword())).isTrue();
        assertThat(first.get("/").body()).contains("This site is new");
        assertThat(first.get("/setup").body()).contains("First: what is this site called?");
        first.post("/setup/site", "name", "Quarry Lane", "currency", "EUR", "version", "0");
        assertThat(first.get("/setup").body()).contains("Next: the room and its places");
        StringBuilder places = new StringBuilder("place,room,stand\n");
        StringBuilder fleet = new StringBuilder("battery,model,place\n");
        for (int n = 1; n <= 30; n++) {
            places.append("Rack ").append(n).append(",shed,Rack\n");
            fleet.append("Q-")
                    .append(n)
                    .append(",Hollin 24-500,Rack ")
                    .append(n)
                    .append('\n');
        }
        for (List<String> file : List.of(
                List.of("rooms", "room,name,height_m\nshed,Shed,3\n"),
                List.of("places", places.toString()),
                List.of("models", "model,volts,cells,capacity_ah\nHollin 24-500,24,12,500\n"),
                List.of("batteries", fleet.toString()),
                List.of("people", "login,name,trainings\nwren,Wren Sallow,battery_care:2099-01-01\n"))) {
            HttpResponse<String> answer =
                    first.send(lead, "/api/v1/fleet/" + file.get(0) + ".csv", "text/csv", file.get(1));
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        }
        String person = first.get("/setup/people").body().replaceAll("(?s).*/setup/people/(\\d+)\">wren<.*", "$1");
        first.post(
                "/setup/people/" + person,
                "name",
                "Wren Sallow",
                "role",
                "TECHNICIAN",
                "active",
                "true",
                "password",
                "thatch and tiles",
                "version",
                "0");
        first.post("/safety/stations", "name", "Eyewash", "kind", "EYEWASH_FLUSH", "room", "shed");
        assertThat(first.get("/setup").body()).contains("Next: look at eyewash, kit and fan");
        String station = first.get("/safety").body().replaceAll("(?s).*/safety/stations/(\\d+)\".*", "$1");
        first.post("/safety/stations/" + station, "sound", "true");
        assertThat(first.get("/setup").body()).contains("All is ready for the first round");

        Visitor wren = new Visitor(application.port());
        assertThat(wren.signIn("wren", "thatch and tiles")).isTrue();
        assertThat(wren.get("/mine").body()).contains("Wren Sallow");
        wren.get("/batteries/Q-7/round");
        wren.post("/batteries/Q-7/round", "state", "FULL_CHARGE");
        String round = wren.get("/batteries/Q-7/round").body().replaceAll("(?s).*data-round=\"(\\d+)\".*", "$1");
        assertThat(wren.post(
                                "/rounds/" + round + "/values",
                                "key",
                                UUID.randomUUID().toString(),
                                "cell",
                                "1",
                                "field",
                                "GRAVITY",
                                "value",
                                "283")
                        .statusCode())
                .isEqualTo(200);
    }

    /** Help for eyes and skin does not wait for a database. */
    @Test
    void firstAidAndTheSignInAreThereWhileTheDatabaseIsAway() throws Exception {
        database.kill();
        Visitor visitor = new Visitor(application.port());
        for (int look = 0; look < 3; look++) {
            long begun = System.nanoTime();
            HttpResponse<String> firstAid = visitor.get("/first-aid");
            assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Patience.of(Duration.ofSeconds(2)));
            assertThat(firstAid.statusCode()).isEqualTo(200);
            assertThat(firstAid.body()).contains("15 min");
        }
        assertThat(visitor.get("/sign-in").statusCode()).isEqualTo(200);
        assertThat(visitor.get("/actuator/health/readiness").statusCode()).isEqualTo(503);
        database.start();
        Patience.await("it is there again", Duration.ofSeconds(30))
                .until(() -> visitor.get("/actuator/health/readiness").statusCode() == 200);
    }
}
