package org.ostendum.bench;

import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.core.people.Role;
import org.ostendum.core.safety.Training;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.security.crypto.password.PasswordEncoder;

/** A person at the pages, over HTTP. */
final class SignedIn {
    private static final String PASSWORD = "bench-password";

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final String home;
    private String token = "";

    private SignedIn(String home) {
        this.home = home;
    }

    /** A lead trained in battery care. */
    static SignedIn lead(ConfigurableApplicationContext application) throws Exception {
        return somebody(application, "bench", Role.LEAD);
    }

    /** Somebody trained in battery care, new in the site unless a run before has left him there. */
    static SignedIn somebody(ConfigurableApplicationContext application, String login, Role role) throws Exception {
        if (application.getBean(People.class).byLogin(login).isEmpty()) {
            add(application, login, role);
        }
        String port = application.getEnvironment().getProperty("local.server.port");
        SignedIn signedIn = new SignedIn("http://127.0.0.1:" + port);
        signedIn.signIn(login);
        return signedIn;
    }

    private static void add(ConfigurableApplicationContext application, String login, Role role) {
        String secret = application.getBean(PasswordEncoder.class).encode(PASSWORD);
        long person = application.getBean(People.class).add(login, login, role, secret);
        application.getBean(Trainings.class).hold(person, Training.BATTERY_CARE, LocalDate.now(ZoneOffset.UTC), person);
    }

    private void signIn(String login) throws Exception {
        readToken(get("/sign-in"));
        post("/sign-in", "login=" + login + "&password=" + PASSWORD);
        readToken(get("/me"));
    }

    private void readToken(HttpResponse<String> page) {
        Matcher matcher = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"").matcher(page.body());
        if (matcher.find()) {
            token = matcher.group(1);
        }
    }

    HttpResponse<String> get(String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path)).build(), HttpResponse.BodyHandlers.ofString());
    }

    HttpResponse<String> post(String path, String form) throws Exception {
        String body = form + "&_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8);
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
