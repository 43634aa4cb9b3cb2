package org.ostendum.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.core.event.EntryKind;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;

class LedgerTest extends ApplicationTest {
    private static final Instant THEN = Instant.parse("2026-01-05T10:00:00Z");

    @Autowired
    private DSLContext sql;

    @Autowired
    private Batteries batteries;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryRecord batteryRecord;

    @Autowired
    private PastCheck past;

    /** Of these the past is changed by tests of this class. */
    private static final List<String> FORGED = List.of("P-6", "P-7");

    private Battery battery(String code) {
        return batteries.byCode(code).orElseThrow();
    }

    private NewEntry note(String text) {
        return NewEntry.of(EntryKind.NOTE, THEN, 1, new BigDecimal("1.50"), text);
    }

    @Test
    void theDemosPastIsWhole() {
        for (Battery battery : batteries.all()) {
            if (!FORGED.contains(battery.code()) && !battery.code().startsWith("S-")) {
                ChainCheck check = past.check(battery.id());
                assertThat(check.isWhole()).as(battery.code() + " " + check).isTrue();
            }
        }
        assertThat(past.check(battery("T-07").id()).lines()).isGreaterThan(100);
    }

    @Test
    void theDatabaseRefusesToChangeALine() {
        assertThatThrownBy(() -> sql.execute("update ledger_entry set payload = '{}' where seq = 1"))
                .isInstanceOf(DataAccessException.class)
                .hasMessageContaining("append-only");
        assertThatThrownBy(() -> sql.execute("delete from cell_reading limit 1"))
                .isInstanceOf(DataAccessException.class);
    }

    /** Somebody with the keys to the database takes the guard off and changes the past: the chain shows where. */
    @Test
    void aChangedLineShows() {
        Battery battery = battery("P-6");
        batteryRecord.record(battery, List.of(note("first"), note("second"), note("third")));
        LedgerEntry second = ledger.ofBattery(battery.id(), null, 2).get(1);
        sql.execute("drop trigger ledger_entry_stays");
        try {
            sql.execute("update ledger_entry set payload = '{\"remark\":\"forged\"}' where id = ?", second.id());
        } finally {
            sql.execute("create trigger ledger_entry_stays before update on ledger_entry for each row "
                    + "signal sqlstate '45000' set message_text = 'The ledger is append-only: write a correction'");
        }
        assertThat(past.check(battery.id()).brokenAt()).isEqualTo(second.seq());
    }

    @Test
    void aChangedReadingShows() {
        Battery battery = battery("P-7");
        sql.execute("drop trigger cell_reading_stays");
        try {
            sql.execute(
                    "update cell_reading set sg_points = sg_points - 3 where battery_id = ? and cell = 2 order by round_id limit 1",
                    battery.id());
        } finally {
            sql.execute("create trigger cell_reading_stays before update on cell_reading for each row "
                    + "signal sqlstate '45000' set message_text = 'Readings are append-only: write a correction'");
        }
        ChainCheck check = past.check(battery.id());
        assertThat(check.brokenAt()).isNull();
        assertThat(check.changedRound()).isNotNull();
    }

    @Test
    void manyWritersMakeOneChain() throws InterruptedException {
        Battery battery = battery("P-4");
        int before = past.check(battery.id()).lines();
        ExecutorService writers = Executors.newFixedThreadPool(8);
        for (int i = 0; i < 40; i++) {
            String text = "note " + i;
            writers.execute(() -> batteryRecord.record(battery, List.of(note(text))));
        }
        writers.shutdown();
        assertThat(writers.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
        ChainCheck check = past.check(battery.id());
        assertThat(check.isWhole()).isTrue();
        assertThat(check.lines()).isEqualTo(before + 40);
    }

    @Test
    void findsInThreeKeystrokes() {
        assertThat(batteries.find("t07")).extracting(Battery::code).first().isEqualTo("T-07");
        assertThat(batteries.find("t7")).extracting(Battery::code).contains("T-07");
        assertThat(batteries.find("F3")).extracting(Battery::code).contains("T-03");
        assertThat(batteries.find(battery("A-3").serial()))
                .extracting(Battery::code)
                .containsExactly("A-3");
        assertThat(batteries.find("zzz")).isEmpty();
    }
}
