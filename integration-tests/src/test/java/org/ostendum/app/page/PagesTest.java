package org.ostendum.app.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.web.servlet.MockMvc;

class PagesTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @LocalServerPort
    private int port;

    private AsPerson tom;
    private AsPerson vera;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
        vera = new AsPerson(mvc, "vera", "VIEWER");
    }

    @ParameterizedTest
    @CsvSource({"t19, T-19", "T-19, T-19", "g1, G-1", "F3, T-03", "LM140, T-", "CREW CAR 4, G-04"})
    void aBatteryIsFoundByCodeSerialOrMachine(String typed, String code) throws Exception {
        assertThat(tom.ask(get("/find").param("q", typed).param("part", "1")).getContentAsString())
                .contains(code)
                .doesNotContain("<html");
    }

    @Test
    void whatIsNotThereIsSaidWithWhatIsSearched() throws Exception {
        assertThat(tom.page("/find?q=zz<b>9"))
                .contains("Nothing begins with “zz&lt;b&gt;9”")
                .contains("serials");
        assertThat(tom.page("/find")).doesNotContain("Nothing begins");
    }

    @ParameterizedTest
    @ValueSource(strings = {"%", "_", "'", "\\", "t%' or 1=1 -- "})
    void aWildcardFindsNothing(String typed) throws Exception {
        assertThat(tom.ask(get("/find").param("q", typed)).getContentAsString()).contains("Nothing begins");
    }

    @Test
    void theFleetShowsAllWithTheWorstFirst() throws Exception {
        String page = tom.page("/fleet?all=yes");
        List<String> codes = Pattern.compile("href=\"/batteries/([^\"/]+)\"")
                .matcher(page)
                .results()
                .map(r -> r.group(1))
                .toList();
        assertThat(codes).hasSameSizeAs(batteries.all()).doesNotHaveDuplicates();
        List<String> severities = Pattern.compile("mark mark-([A-Z]+)\" role")
                .matcher(page)
                .results()
                .map(r -> r.group(1))
                .toList();
        assertThat(severities.get(0)).isEqualTo("STOP");
        assertThat(severities).isSortedAccordingTo((a, b) -> Integer.compare(rank(a), rank(b)));
    }

    private static int rank(String severity) {
        return List.of("STOP", "ACT", "WATCH", "FIT").indexOf(severity);
    }

    @Test
    void whoOnlyLooksOnIsOfferedNothingToDo() throws Exception {
        assertThat(vera.page("/batteries/T-19")).doesNotContain("/batteries/T-19/round", "/batteries/T-19/log");
        assertThat(tom.page("/batteries/T-19")).contains("/batteries/T-19/round");
    }

    @Test
    void eachPersonReadsInHisOwnUnits() throws Exception {
        assertThat(vera.page("/batteries/T-19")).contains("1.2").contains(" kg");
        vera.send("/me", "form", "FOUR_DIGITS", "points", "true", "fahrenheit", "true", "us", "true", "theme", "NIGHT");
        try {
            assertThat(vera.page("/batteries/T-19"))
                    .contains(" lb", "data-theme=\"NIGHT\"")
                    .doesNotContain(" kg");
            assertThat(tom.page("/batteries/T-19")).contains(" kg");
        } finally {
            vera.send(
                    "/me",
                    "form",
                    "THREE_DIGITS",
                    "points",
                    "false",
                    "fahrenheit",
                    "false",
                    "us",
                    "false",
                    "theme",
                    "DEVICE");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "/batteries/NO-SUCH, /batteries/NO-SUCH",
        "/rooms/cellar, /rooms/cellar",
        "/setup/models/999999, 403",
        "/nowhere, /nowhere",
    })
    void aPageThatIsNotThereNamesWhatWasAskedAndLeadsBack(String path, String named) throws Exception {
        HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .build();
        String token = token(ask(client, "/sign-in", null).body());
        ask(client, "/sign-in", "login=tom&password=lanternmoor&_csrf=" + token);
        HttpResponse<String> answer = ask(client, path, null);
        assertThat(answer.statusCode()).isEqualTo(named.equals("403") ? 403 : 404);
        assertThat(answer.body()).contains("Back to the room").doesNotContain("Exception", "at org.");
        if (!named.equals("403")) {
            assertThat(answer.body()).contains("Asked for: " + named);
        }
    }

    /** A file so large that nobody reads it is told in words, with its limit. */
    @Test
    void aRequestTooLargeIsToldSo() throws Exception {
        HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .build();
        String token = token(ask(client, "/sign-in", null).body());
        ask(client, "/sign-in", "login=tom&password=lanternmoor&_csrf=" + token);
        String there = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"")
                .matcher(ask(client, "/jobs", null).body())
                .results()
                .findFirst()
                .orElseThrow()
                .group(1);
        byte[] part = ("--x\r\nContent-Disposition: form-data; name=\"photo\"; filename=\"a.jpg\"\r\n\r\n"
                        + "0".repeat(13_000_000) + "\r\n--x--\r\n")
                .getBytes(StandardCharsets.US_ASCII);
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/jobs/5/photos?_csrf=" + there))
                        .header("Content-Type", "multipart/form-data; boundary=x")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(part))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(413);
        assertThat(answer.body()).contains("up to 8 MB", "Back to the room").doesNotContain("Exception");
    }

    private static String token(String page) {
        return Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"")
                .matcher(page)
                .results()
                .findFirst()
                .orElseThrow()
                .group(1);
    }

    private HttpResponse<String> ask(HttpClient client, String path, String form) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
        if (form != null) {
            request.header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString(form));
        }
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }
}
