package org.ostendum.app.kills;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Statement;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Keys rounds as the page does: each value has a key of its own and is sent again until it is answered. */
final class KeyedValues extends Worker {
    private static final Pattern ROUND = Pattern.compile("data-round=\"(\\d+)\"");
    private static final int CELLS = 18;

    private final Set<String> answered = new HashSet<>();

    KeyedValues(int port, String battery) {
        super(port, "tom", battery);
    }

    @Override
    void deed() throws Exception {
        String page = "/batteries/" + battery + "/round";
        once(() -> visitor.post(page, "state", "FULL_CHARGE"));
        HttpResponse<String> opened = once(() -> visitor.get(page));
        Matcher round = ROUND.matcher(opened == null ? "" : opened.body());
        if (!round.find()) {
            return;
        }
        String at = "/rounds/" + round.group(1);
        for (int cell = 1; cell <= CELLS && !isDone(); cell++) {
            key(at, cell);
        }
        once(() -> visitor.post(at + "/close"));
    }

    private void key(String at, int cell) throws Exception {
        String key = UUID.randomUUID().toString();
        while (!isDone()) {
            HttpResponse<String> answer = once(() -> visitor.post(
                    at + "/values", "key", key, "cell", String.valueOf(cell), "field", "GRAVITY", "value", "283"));
            if (answer != null) {
                if (answer.statusCode() == 200) {
                    answered.add(key);
                }
                return;
            }
        }
    }

    @Override
    void check(Statement statement) throws Exception {
        assertThat(ManyKills.ask(statement, "select client_key from round_value"))
                .containsAll(answered);
    }

    @Override
    int answered() {
        return answered.size();
    }

    @Override
    String told() {
        return answered.size() + " values of rounds on " + battery;
    }
}
