package org.ostendum.app.kills;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Statement;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;

/** A program that sends rounds as files, each until it is answered: one that is on record already is refused. */
final class SentFiles extends Worker {
    private static final String HEADER = "battery,taken_at,state,cell,sg,temperature_c,volts,on_charge,level_mm,note\n";

    private final Set<String> answered = new HashSet<>();
    private Instant next = Instant.parse("2015-01-01T08:00:00Z");

    SentFiles(int port, String battery) {
        super(port, "maud", battery);
    }

    @Override
    void deed() throws Exception {
        next = next.plusSeconds(3600);
        StringBuilder file = new StringBuilder(HEADER);
        for (int cell = 1; cell <= 6; cell++) {
            file.append(battery)
                    .append(',')
                    .append(next)
                    .append(",full_charge,")
                    .append(cell)
                    .append(",1.28,25,,,,\n");
        }
        while (!isDone()) {
            HttpResponse<String> answer = once(() -> visitor.send("/api/v1/rounds.csv", "text/csv", file.toString()));
            if (answer != null) {
                answered.add(next.toString());
                return;
            }
        }
    }

    @Override
    void check(Statement statement) throws Exception {
        Set<String> kept = ManyKills.ask(
                statement,
                "select date_format(taken_at, '%Y-%m-%dT%H:%i:%sZ') from round where taken_at < '2020-01-01' and"
                        + " battery_id = (select id from battery where code = '" + battery + "')");
        assertThat(kept).containsAll(answered);
    }

    @Override
    int answered() {
        return answered.size();
    }

    @Override
    String told() {
        return answered.size() + " files of rounds on " + battery;
    }
}
