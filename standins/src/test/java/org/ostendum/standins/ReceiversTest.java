package org.ostendum.standins;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReceiversTest {
    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @Test
    void mailAndCallsAreWrittenDown(@TempDir Path folder) throws Exception {
        int mail = freePort();
        int hook = freePort();
        Path file = folder.resolve("received.txt");
        try (Receivers receivers = new Receivers(mail, hook, file)) {
            GreenMailUtil.sendTextEmail(
                    "night@example.org",
                    "ostendum@localhost",
                    "Fan off",
                    "The fan stands still.",
                    new ServerSetup(mail, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
            HttpResponse<Void> answer = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + hook + "/alarm"))
                                    .POST(HttpRequest.BodyPublishers.ofString("{\"about\":\"CA1\"}"))
                                    .build(),
                            HttpResponse.BodyHandlers.discarding());
            receivers.look();
            receivers.look();
            assertThat(answer.statusCode()).isEqualTo(204);
            assertThat(Files.readAllLines(file))
                    .hasSize(2)
                    .anyMatch(l -> l.contains("call of /alarm: {\"about\":\"CA1\"}"))
                    .anyMatch(l -> l.contains("mail to night@example.org: Fan off | The fan stands still."));
        }
    }
}
