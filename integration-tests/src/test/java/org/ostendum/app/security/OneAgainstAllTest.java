package org.ostendum.app.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketException;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.Patience;
import org.ostendum.app.support.Visitor;
import org.ostendum.core.people.Role;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Nothing that one does keeps the others from working. */
class OneAgainstAllTest extends ApplicationTest {
    private static final String PASSWORD = "seven grey herons";

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private Passwords passwords;

    private final List<Socket> open = new ArrayList<>();

    @AfterEach
    void hangUp() throws IOException {
        for (Socket socket : open) {
            socket.close();
        }
    }

    private Visitor someone(Role role) throws Exception {
        String login = "o-" + UUID.randomUUID().toString().substring(0, 8);
        people.add(login, "Somebody New", role, passwords.hash(PASSWORD));
        Visitor visitor = new Visitor(port);
        assertThat(visitor.signIn(login, PASSWORD)).isTrue();
        return visitor;
    }

    private Socket connect(String from) throws IOException {
        Socket socket = new Socket();
        open.add(socket);
        socket.bind(new InetSocketAddress(InetAddress.getByName(from), 0));
        socket.connect(new InetSocketAddress("127.0.0.1", port));
        socket.setSoTimeout((int) Patience.of(Duration.ofSeconds(10)).toMillis());
        return socket;
    }

    private static void say(Socket socket, String... lines) throws IOException {
        OutputStream out = socket.getOutputStream();
        out.write((String.join("\r\n", lines) + "\r\n\r\n").getBytes(StandardCharsets.US_ASCII));
        out.flush();
    }

    private static String firstLine(Socket socket) throws IOException {
        InputStream in = socket.getInputStream();
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0 && c != '\n'; c = in.read()) {
            line.append((char) c);
        }
        return line.toString();
    }

    /** A busy machine comes to the last of them some moments later. */
    private void areHungUp(int many) {
        Set<Socket> hungUp = new HashSet<>();
        Patience.await("the rest hung up", Duration.ofSeconds(8)).untilAsserted(() -> {
            open.stream()
                    .filter(socket -> !hungUp.contains(socket) && isHungUp(socket))
                    .forEach(hungUp::add);
            assertThat(hungUp).hasSize(many);
        });
    }

    private static boolean isHungUp(Socket socket) {
        try {
            socket.setSoTimeout(20);
            return firstLine(socket).contains("503");
        } catch (IOException nothingYet) {
            return false;
        }
    }

    /** Two hundred and sixty bodies that never come: from four addresses, as many as threads. */
    @Test
    void bodiesThatNeverComeHoldUpNobodyWhoWorks() throws Exception {
        Visitor technician = someone(Role.TECHNICIAN);
        for (int i = 0; i < 260; i++) {
            say(
                    connect("127.0.0." + (2 + i % 4)),
                    "POST /sign-in HTTP/1.1",
                    "Host: localhost",
                    "Content-Type: application/x-www-form-urlencoded",
                    "Content-Length: 500",
                    "",
                    "login=");
        }
        long begun = System.nanoTime();
        assertThat(technician.get("/fleet").statusCode()).isEqualTo(200);
        assertThat(technician
                        .post(
                                "/me",
                                "form",
                                "FOUR_DIGITS",
                                "points",
                                "false",
                                "fahrenheit",
                                "false",
                                "us",
                                "false",
                                "theme",
                                "DEVICE")
                        .statusCode())
                .isEqualTo(302);
        assertThat(new Visitor(port).get("/first-aid").statusCode()).isEqualTo(200);
        assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Patience.of(Duration.ofSeconds(3)));
        areHungUp(260 - 4 * BodiesAtOnce.FROM_ONE_ADDRESS);
    }

    /** One who has signed in, from many pages at once, and in requests that should have no body at all. */
    @ParameterizedTest
    @ValueSource(strings = {"POST /me", "GET /fleet"})
    void whoHasSignedInHoldsUpNobodyEither(String what) throws Exception {
        Visitor viewer = someone(Role.VIEWER);
        assertThat(viewer.get("/fleet").statusCode()).isEqualTo(200);
        for (int i = 0; i < 270; i++) {
            say(
                    connect("127.0.0.1"),
                    what + " HTTP/1.1",
                    "Host: localhost",
                    "Cookie: ostendum=" + viewer.cookie("ostendum"),
                    "Content-Type: application/x-www-form-urlencoded",
                    "Content-Length: 500",
                    "",
                    "theme=");
        }
        Visitor technician = someone(Role.TECHNICIAN);
        long begun = System.nanoTime();
        assertThat(technician.get("/fleet").statusCode()).isEqualTo(200);
        assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Patience.of(Duration.ofSeconds(3)));
        areHungUp(270 - BodiesAtOnce.OF_ONE_PERSON);
    }

    /** A page is answered before its body has come; what is still waited for of it counts all the same. */
    @Test
    void whatHasBeenAnsweredCountsUntilItsBodyIsThere() throws Exception {
        Visitor viewer = someone(Role.VIEWER);
        assertThat(viewer.get("/fleet").statusCode()).isEqualTo(200);
        for (int i = 0; i < BodiesAtOnce.OF_ONE_PERSON; i++) {
            assertThat(answerToUnfinished(viewer)).contains("200");
        }
        assertThat(answerToUnfinished(viewer)).contains("503");
    }

    private String answerToUnfinished(Visitor viewer) throws IOException {
        Socket socket = connect("127.0.0.1");
        say(
                socket,
                "GET /first-aid HTTP/1.1",
                "Host: localhost",
                "Cookie: ostendum=" + viewer.cookie("ostendum"),
                "Content-Length: 500",
                "",
                "theme=");
        return firstLine(socket);
    }

    @Test
    void onePersonHasSoManyOpenPagesAndNoMore() throws Exception {
        Visitor viewer = someone(Role.VIEWER);
        List<Integer> answers = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            Socket page = connect("127.0.0.1");
            say(page, "GET /live HTTP/1.1", "Host: localhost", "Cookie: ostendum=" + viewer.cookie("ostendum"));
            answers.add(Integer.parseInt(firstLine(page).split(" ", -1)[1]));
        }
        assertThat(answers.stream().filter(a -> a == 200)).hasSize(24);
        assertThat(answers.subList(24, 40)).containsOnly(429);
        assertThat(someone(Role.VIEWER).get("/fleet").statusCode()).isEqualTo(200);
    }

    /** However the path is spelled, and whether the length is told before or not. */
    @ParameterizedTest
    @ValueSource(strings = {"/api/v1/judge", "/%61pi/v1/judge", "/api/./v1/judge", "/api/v1/%6audge"})
    void noSpellingOfAPathPassesTheLimitOfABody(String path) throws Exception {
        Socket told = connect("127.0.0.6");
        say(
                told,
                "POST " + path + " HTTP/1.1",
                "Host: localhost",
                "Content-Type: application/json",
                "Content-Length: 150000000",
                auth());
        assertThat(firstLine(told)).containsAnyOf("413", "400");
        Socket chunked = connect("127.0.0.6");
        say(
                chunked,
                "POST " + path + " HTTP/1.1",
                "Host: localhost",
                "Content-Type: application/json",
                "Transfer-Encoding: chunked",
                auth());
        assertThat(isRefusedBeforeItsEnd(chunked, 5_000_000)).isTrue();
    }

    /**
     * How many bytes can be sent says nothing: the system itself takes up to 32 MB that no one reads. So some more than
     * the limit is sent and its end never: who waited for the whole of it would not answer.
     */
    private static boolean isRefusedBeforeItsEnd(Socket chunked, int bytes) throws IOException {
        byte[] chunk = ("10000\r\n" + " ".repeat(0x10000) + "\r\n").getBytes(StandardCharsets.US_ASCII);
        try {
            for (int sent = 0; sent < bytes; sent += 0x10000) {
                chunked.getOutputStream().write(chunk);
            }
            String answer = firstLine(chunked);
            return answer.contains("413") || answer.contains("400");
        } catch (SocketTimeoutException stillWaiting) {
            return false;
        } catch (SocketException hungUp) {
            return true;
        }
    }

    private static String auth() {
        return "Authorization: Basic "
                + Base64.getEncoder().encodeToString("maud:lanternmoor".getBytes(StandardCharsets.US_ASCII));
    }

    /** A year in the cache is right for a name that changes with what is in the file, and for no other. */
    @Test
    void scriptsAndStylesCarryAHashInTheirNames() throws Exception {
        String page = new Visitor(port).get("/sign-in").body();
        List<String> links = Stream.of(page.split("\"", -1))
                .filter(s -> s.startsWith("/static/"))
                .toList();
        assertThat(links).hasSizeGreaterThan(4).allMatch(link -> link.matches("/static/[\\w-]+-[0-9a-f]{32}\\.\\w+"));
        for (String link : links) {
            assertThat(new Visitor(port).get(link).statusCode()).as(link).isEqualTo(200);
        }
    }
}
