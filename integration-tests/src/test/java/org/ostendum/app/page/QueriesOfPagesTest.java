package org.ostendum.app.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.people.People;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.QueryCount;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.ChargeKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.annotation.Transactional;

/** A page asks the database as often for many batteries as for few. What is put on charge for it is taken back. */
@Transactional
class QueriesOfPagesTest extends ApplicationTest {
    private static final List<String> PAGES =
            List.of("/rooms/tests", "/charging", "/watering", "/fleet", "/jobs", "/setup/chargers", "/setup/devices");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private QueryCount queries;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private People people;

    private void onCharge(String code) {
        Battery battery = own.full(code, "T-07");
        ChargeStarted started =
                new ChargeStarted(TestClock.now().minus(Duration.ofHours(1)), ChargeKind.CONVENTIONAL, null);
        long tom = people.byLogin("tom").orElseThrow().id();
        record.record(battery, List.of(LedgerEvents.entry(started, tom, "")));
    }

    /** What devices ask meanwhile is told apart by asking more than once: the least is the page's own. */
    private Map<String, Integer> asked() throws Exception {
        Map<String, Integer> asked = new TreeMap<>();
        for (String page : PAGES) {
            int least = Integer.MAX_VALUE;
            for (int i = 0; i < 4; i++) {
                int before = queries.soFar();
                AsPerson.maud(mvc).page(page);
                least = Math.min(least, queries.soFar() - before);
            }
            asked.put(page, least);
        }
        return asked;
    }

    @Test
    void noPageAsksMoreForMoreBatteries() throws Exception {
        onCharge("Q-1");
        Map<String, Integer> forOne = asked();
        assertThat(forOne.values()).allMatch(asked -> asked > 0 && asked < 60);
        for (int i = 2; i < 7; i++) {
            onCharge("Q-" + i);
        }
        assertThat(asked()).isEqualTo(forOne);
    }
}
