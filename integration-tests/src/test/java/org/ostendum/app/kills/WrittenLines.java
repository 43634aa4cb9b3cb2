package org.ostendum.app.kills;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Statement;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/** Writes down what was done. A form that got no answer is not sent again: whether it was taken nobody knows. */
final class WrittenLines extends Worker {
    private final Set<String> answered = new HashSet<>();
    private final Set<String> sent = new HashSet<>();

    WrittenLines(int port, String battery) {
        super(port, "ines", battery);
    }

    @Override
    void deed() throws Exception {
        String remark = UUID.randomUUID().toString();
        sent.add(remark);
        HttpResponse<String> answer =
                once(() -> visitor.post("/batteries/" + battery + "/log", "kind", "WASH", "remark", remark));
        if (answer != null && answer.statusCode() == 302) {
            answered.add(remark);
        }
    }

    @Override
    void check(Statement statement) throws Exception {
        Set<String> kept = ManyKills.ask(
                statement,
                "select json_value(payload, '$.remark') from ledger_entry where kind = 'WASH' and battery_id ="
                        + " (select id from battery where code = '" + battery + "')"
                        + " and length(json_value(payload, '$.remark')) = 36");
        assertThat(kept).containsAll(answered);
        assertThat(sent).containsAll(kept);
    }

    @Override
    int answered() {
        return answered.size();
    }

    @Override
    String told() {
        return answered.size() + " lines written on " + battery + ", " + (sent.size() - answered.size())
                + " without an answer";
    }
}
