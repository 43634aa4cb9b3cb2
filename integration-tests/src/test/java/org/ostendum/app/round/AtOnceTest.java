package org.ostendum.app.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.KeyedRound;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** What several people do to one battery in the same moment, on the real database. */
class AtOnceTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private OpenRounds openRounds;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryStates states;

    @Autowired
    private PastCheck past;

    /** Runs all of them, begun together; the status of each, in the order given. */
    private static List<Integer> together(List<Callable<Integer>> deeds) throws Exception {
        CyclicBarrier start = new CyclicBarrier(deeds.size());
        ExecutorService pool = Executors.newFixedThreadPool(deeds.size());
        try {
            List<Future<Integer>> done = new ArrayList<>();
            for (Callable<Integer> deed : deeds) {
                done.add(pool.submit(() -> {
                    start.await(10, TimeUnit.SECONDS);
                    return deed.call();
                }));
            }
            List<Integer> statuses = new ArrayList<>();
            for (Future<Integer> future : done) {
                statuses.add(future.get(30, TimeUnit.SECONDS));
            }
            return statuses;
        } finally {
            pool.shutdownNow();
        }
    }

    private long open(AsPerson person, Battery battery) throws Exception {
        person.send("/batteries/" + battery.code() + "/round", "state", "FULL_CHARGE");
        return openRounds.of(battery.id()).orElseThrow().id();
    }

    @Test
    void ofTwoWhoKeyOneCellTheSecondIsTold() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        AsPerson ines = new AsPerson(mvc, "ines", "TECHNICIAN");
        Battery battery = own.full("K-85", "T-21");
        long round = open(tom, battery);
        for (int cell = 1; cell <= battery.type().model().cells(); cell++) {
            int at = cell;
            List<Integer> answers = together(List.of(
                    () -> new KeyedRound(tom, round).send(at, "GRAVITY", "281").getStatus(),
                    () -> new KeyedRound(ines, round).send(at, "GRAVITY", "279").getStatus()));
            assertThat(answers).as("cell " + cell).containsExactlyInAnyOrder(200, 409);
        }
        long values = openRounds.of(battery.id()).orElseThrow().values().size();
        assertThat(values).isEqualTo(battery.type().model().cells());
    }

    /** Of two corrections of one cell the second is told of the first, whether it came with it or was opened before it. */
    @Test
    void ofTwoWhoCorrectOneCellTheSecondIsTold() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        AsPerson maud = AsPerson.maud(mvc);
        Battery battery = own.full("ONCE-90", "T-21");
        long round = open(tom, battery);
        for (int cell = 1; cell <= battery.type().model().cells(); cell++) {
            new KeyedRound(tom, round).key(cell, "GRAVITY", "283");
        }
        new KeyedRound(tom, round).close();
        String at = "/batteries/ONCE-90/correct";
        String seen = tom.seen(at + "?cell=4");
        List<Integer> answers = together(List.of(
                () -> tom.send(at, "cell", "4", "value", "281", "seen", seen, "reason", "a slip")
                        .getStatus(),
                () -> maud.send(at, "cell", "4", "value", "279", "seen", seen, "reason", "a slip")
                        .getStatus()));
        assertThat(answers).containsExactlyInAnyOrder(302, 409);
        assertThat(maud.send(at, "cell", "4", "value", "277", "seen", seen, "reason", "opened before")
                        .getContentAsString())
                .contains("Somebody else has put this right meanwhile", "value=\"277\"");
        assertThat(maud.send(at, "cell", "5", "value", "277", "seen", maud.seen(at + "?cell=5"), "reason", "a slip")
                        .getStatus())
                .as("another cell")
                .isEqualTo(302);
        int seq = ledger.ofBattery(battery.id(), null, 1).get(0).seq() + 1;
        tom.send("/batteries/ONCE-90/log", "kind", "WASH");
        List<Integer> taken = together(List.of(
                () -> maud.send("/batteries/ONCE-90/ledger/" + seq + "/take-back", "reason", "not washed")
                        .getStatus(),
                () -> tom.send("/batteries/ONCE-90/ledger/" + seq + "/take-back", "reason", "not washed")
                        .getStatus()));
        assertThat(taken).containsExactlyInAnyOrder(302, 422);
        assertThat(past.check(battery.id()).isWhole()).isTrue();
    }

    @Test
    void theWateringWalkAndTheEndOfARoundDoNotLoseEachOther() throws Exception {
        AsPerson tom = AsPerson.tom(mvc);
        AsPerson ines = new AsPerson(mvc, "ines", "TECHNICIAN");
        for (String code : new String[] {"K-86", "K-87", "K-88", "K-89"}) {
            Battery battery = own.full(code, "T-21");
            long round = open(tom, battery);
            int cells = battery.type().model().cells();
            for (int cell = 1; cell <= cells; cell++) {
                new KeyedRound(tom, round).key(cell, "GRAVITY", "283");
            }
            int before = ledger.ofBattery(battery.id(), null, 1).get(0).seq();
            List<Integer> answers = together(List.of(
                    () -> new KeyedRound(tom, round).close().getStatus(),
                    () -> ines.send("/watering", "ml-" + code, "400", "meant", "yes")
                            .getStatus(),
                    () -> tom.send("/batteries/" + code + "/log", "kind", "WASH")
                            .getStatus()));
            assertThat(answers).as(code).containsOnly(302);
            List<Integer> lines = ledger.ofBattery(battery.id(), null, 3).stream()
                    .map(LedgerEntry::seq)
                    .toList();
            assertThat(lines)
                    .containsExactlyElementsOf(IntStream.of(before + 3, before + 2, before + 1)
                            .boxed()
                            .toList());
            assertThat(states.stateOf(battery).water().watered()).as(code).isNotNull();
            assertThat(states.stateOf(battery).roundAt()).as(code).isNotNull();
            assertThat(states.stateOf(battery).care().washed()).as(code).isNotNull();
            assertThat(past.check(battery.id()).isWhole()).as(code).isTrue();
        }
    }
}
