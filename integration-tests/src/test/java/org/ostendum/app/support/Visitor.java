package org.ostendum.app.support;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A browser without a picture: signs in over HTTP and keeps its session, as no mock does. */
public final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String home;
    private String token = "";

    public Visitor(int port) {
        this.home = "http://127.0.0.1:" + port;
    }

    /** @return whether he is in */
    public boolean signIn(String login, String password) throws Exception {
        get("/sign-in");
        HttpResponse<String> answer = post("/sign-in", "login", login, "password", password);
        boolean in = !answer.headers().firstValue("Location").orElse("").contains("/sign-in");
        if (in) {
            get("/me");
        }
        return in;
    }

    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElseThrow();
    }

    public HttpResponse<String> get(String path) throws Exception {
        return read(ask("GET", path));
    }

    public HttpResponse<String> ask(String method, String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path))
                        .header("Accept", "text/html, */*;q=0.8")
                        .method(method, HttpRequest.BodyPublishers.noBody())
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** Sends a form of names and values in turn. */
    public HttpResponse<String> post(String path, String... namesAndValues) throws Exception {
        StringBuilder body = new StringBuilder("_csrf=" + encoded(token));
        for (int i = 0; i < namesAndValues.length; i += 2) {
            body.append('&').append(namesAndValues[i]).append('=').append(encoded(namesAndValues[i + 1]));
        }
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** Sends a body as a program does, under the lead of the demo. */
    public HttpResponse<String> send(String path, String type, String body) throws Exception {
        return send("maud:lanternmoor", path, type, body);
    }

    /** Sends a body as a program does, under a name and password. */
    public HttpResponse<String> send(String nameAndPassword, String path, String type, String body) throws Exception {
        String who = Base64.getEncoder().encodeToString(nameAndPassword.getBytes(StandardCharsets.UTF_8));
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path))
                        .header("Content-Type", type)
                        .header("Authorization", "Basic " + who)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> read(HttpResponse<String> page) {
        Matcher matcher = TOKEN.matcher(page.body());
        if (matcher.find()) {
            token = matcher.group(1);
        }
        return page;
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
