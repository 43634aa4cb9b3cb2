package org.ostendum.bench;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.ostendum.app.people.People;
import org.ostendum.app.security.TokenHash;
import org.ostendum.app.security.Tokens;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.springframework.context.ConfigurableApplicationContext;

/** A program that calls the API by its token. */
final class Program {
    private final HttpClient client = HttpClient.newHttpClient();
    private final String home;
    private final String token;

    private Program(String home, String token) {
        this.home = home;
        this.token = token;
    }

    static Program of(ConfigurableApplicationContext application) {
        TokenHash hash = application.getBean(TokenHash.class);
        String token = hash.make();
        People people = application.getBean(People.class);
        long person = people.byLogin("program")
                .map(Person::id)
                .orElseGet(() -> people.add("program", "Program", Role.VIEWER, "no password"));
        application.getBean(Tokens.class).add(person, "bench", hash.of(token), false);
        String port = application.getEnvironment().getProperty("local.server.port");
        return new Program("http://127.0.0.1:" + port, token);
    }

    HttpResponse<String> post(String path, String json) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(home + path))
                        .header("Authorization", "Bearer " + token)
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(json))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
