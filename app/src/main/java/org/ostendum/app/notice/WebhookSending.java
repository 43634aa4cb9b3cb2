package org.ostendum.app.notice;

import java.net.http.HttpClient;
import java.time.Duration;
import org.springframework.http.MediaType;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;

/** By a POST of JSON to another program. */
@Component
class WebhookSending implements Sending {
    private static final Duration PATIENCE = Duration.ofSeconds(8);

    private final RestClient client;

    WebhookSending() {
        JdkClientHttpRequestFactory requests = new JdkClientHttpRequestFactory(HttpClient.newBuilder()
                .connectTimeout(PATIENCE)
                .followRedirects(HttpClient.Redirect.NEVER)
                .build());
        requests.setReadTimeout(PATIENCE);
        client = RestClient.builder().requestFactory(requests).build();
    }

    @Override
    public NoticeRule.Way way() {
        return NoticeRule.Way.WEBHOOK;
    }

    @Override
    public boolean isOpen() {
        return true;
    }

    @Override
    public void send(String address, NoticeMessage message) {
        try {
            client.post()
                    .uri(address)
                    .contentType(MediaType.APPLICATION_JSON)
                    .body(message)
                    .retrieve()
                    .toBodilessEntity();
        } catch (RestClientException | IllegalArgumentException e) {
            throw new SendingFailed(String.valueOf(e.getMessage()), e);
        }
    }
}
