package org.ostendum.app.notice;

import java.net.http.HttpClient;
import java.time.Duration;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;

/** By a POST of JSON to another program. */
@Component
class WebhookSending implements Sending {
    private static final Duration PATIENCE = Duration.ofSeconds(8);

    /** Made when the first program is called: few sites call any. */
    private final Supplier<RestClient> client = SingletonSupplier.of(WebhookSending::made);

    private static RestClient made() {
        JdkClientHttpRequestFactory requests = new JdkClientHttpRequestFactory(HttpClient.newBuilder()
                .connectTimeout(PATIENCE)
                .followRedirects(HttpClient.Redirect.NEVER)
                .build());
        requests.setReadTimeout(PATIENCE);
        return RestClient.builder().requestFactory(requests).build();
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
            client.get()
                    .post()
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
