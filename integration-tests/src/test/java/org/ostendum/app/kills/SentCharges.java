package org.ostendum.app.kills;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Statement;
import java.time.Instant;
import java.util.UUID;

/** A program that tells charges as they begin and end; each is sent again under its key until it is answered, and stands there once. */
final class SentCharges extends Worker {
    private int begun;
    private int ended;
    private Instant since = Instant.EPOCH;

    SentCharges(int port, String battery) {
        super(port, "maud", battery);
    }

    @Override
    void deed() throws Exception {
        since = since.equals(Instant.EPOCH) ? Instant.now() : since;
        begun += send("{\"type\":\"charge_start\",\"at\":\"%s\"}".formatted(Instant.now()));
        ended += send("{\"type\":\"charge_end\",\"at\":\"%s\",\"how\":\"ended_early\",\"quantity\":1,\"unit\":\"Ah\"}"
                .formatted(Instant.now()));
    }

    private int send(String event) throws Exception {
        String body = "{\"key\":\"" + UUID.randomUUID() + "\",\"events\":[" + event + "]}";
        while (!isDone()) {
            HttpResponse<String> answer =
                    once(() -> visitor.send("/api/v1/batteries/" + battery + "/events", "application/json", body));
            if (answer != null) {
                assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
                return 1;
            }
        }
        return 0;
    }

    @Override
    void check(Statement statement) throws Exception {
        // The last of each may be on record without an answer.
        assertThat(count(statement, "CHARGE_START")).isBetween(begun, begun + 1);
        assertThat(count(statement, "CHARGE_END")).isBetween(ended, ended + 1);
    }

    private int count(Statement statement, String kind) throws Exception {
        return Integer.parseInt(ManyKills.ask(
                        statement,
                        "select count(*) from ledger_entry where kind = '" + kind + "' and recorded_at >= '"
                                + since.toString().replace("T", " ").replace("Z", "") + "' and battery_id ="
                                + " (select id from battery where code = '" + battery + "')")
                .iterator()
                .next());
    }

    @Override
    int answered() {
        return ended;
    }

    @Override
    String told() {
        return begun + " charges begun and " + ended + " ended on " + battery;
    }
}
