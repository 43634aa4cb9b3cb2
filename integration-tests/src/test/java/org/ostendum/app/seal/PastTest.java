package org.ostendum.app.seal;

import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.ChainHash;
import org.ostendum.app.ledger.ChainHead;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.ledger.WrittenLine;
import org.ostendum.app.notice.HouseMail;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.PastCheck;
import org.ostendum.app.state.RoundRecord;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.ostendum.app.support.Patience;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.support.TransactionTemplate;

/** Somebody who has the database, its guards taken off, changes the past: the seals show it, and the rounds' lines. */
class PastTest extends ApplicationTest {
    private static final List<String> GUARDED = List.of("ledger_entry", "cell_reading");
    private static final Instant THEN = Instant.parse("2026-02-03T09:00:00Z");

    @TempDir
    Path folder;

    @Autowired
    private DSLContext sql;

    @Autowired
    private Ledger ledger;

    @Autowired
    private BatteryRecord record;

    @Autowired
    private RoundRecord rounds;

    @Autowired
    private PastCheck past;

    @Autowired
    private PastExport export;

    @Autowired
    private OwnBatteries own;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private MockMvc mvc;

    private Battery battery;
    private Seals seals;

    @BeforeEach
    void aSealedPast() throws Exception {
        battery = own.full("S-" + UUID.randomUUID().toString().substring(0, 5), "T-21");
        List<NewEntry> notes = new ArrayList<>();
        for (int i = 1; i <= 14; i++) {
            notes.add(NewEntry.of(EntryKind.NOTE, THEN, 1, new BigDecimal("1.50"), "note " + i));
        }
        record.record(battery, notes);
        transaction.executeWithoutResult(status -> rounds.takeIn(battery, List.of(round(0), round(14)), 1));
        seals = new Seals(
                ledger,
                Clock.fixed(THEN, ZoneOffset.UTC),
                ZoneOffset.UTC,
                folder.resolve("seals"),
                folder.resolve("seal.key"));
        seals.sealToday();
    }

    private SealOfTheDay keptIn(String place) throws IOException {
        return new SealOfTheDay(
                ledger, Clock.fixed(THEN, ZoneOffset.UTC), ZoneOffset.UTC, place, folder.resolve("seal.key"));
    }

    private static Round round(int daysLater) {
        List<CellReading> readings = new ArrayList<>();
        for (int cell = 1; cell <= 18; cell++) {
            readings.add(CellReading.gravity(cell, 1280 + cell % 2));
        }
        return new Round(THEN.plusSeconds(86_400L * daysLater), RoundState.FULL_CHARGE, Celsius.of(24), readings);
    }

    /** What a thief of the database does who knows how it guards itself. */
    private void behindTheBack(String... statements) {
        GUARDED.forEach(table -> {
            sql.execute("drop trigger " + guard(table, "stays"));
            sql.execute("drop trigger " + guard(table, "remains"));
        });
        try {
            for (String statement : statements) {
                sql.execute(statement.replace("{b}", String.valueOf(battery.id())));
            }
        } finally {
            GUARDED.forEach(table -> {
                putBack(table, "stays", "update");
                putBack(table, "remains", "delete");
            });
        }
    }

    private static String guard(String table, String what) {
        return table + "_" + what;
    }

    private void putBack(String table, String what, String when) {
        sql.execute("create trigger " + guard(table, what) + " before " + when + " on " + table
                + " for each row signal sqlstate '45000' set message_text = 'append-only'");
    }

    /** To a mailbox outside, once: with all that is needed to hold a past against it. */
    @Test
    void theDaysSealIsMailedOnceItCanBe() throws Exception {
        HouseMail mail = new HouseMail("127.0.0.1", MAIL_PORT, "", "", "ostendum@localhost");
        SealMail outside = new SealMail(keptIn(folder.resolve("seals").toString()), mail, "seals@example.org");
        outside.send();
        GreenMail server = new GreenMail(new ServerSetup(MAIL_PORT, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        server.start();
        try {
            outside.send();
            outside.send();
            assertThat(server.waitForIncomingEmail(5000, 1)).isTrue();
            assertThat(server.getReceivedMessages()).singleElement().satisfies(message -> {
                assertThat(message.getSubject()).contains("2026-02-03");
                String text = GreenMailUtil.getBody(message).replace("\r\n", "\n");
                Seal sent = Seal.read(text.substring(0, text.indexOf("\n\nkey ") + 1))
                        .orElseThrow();
                assertThat(sent).isEqualTo(seals.newest().orElseThrow());
                assertThat(text).contains("key " + seals.openKey());
            });
        } finally {
            server.stop();
        }
    }

    /** On paper: up to which line this battery's past is sealed, and what that line is. */
    @Test
    void theNewestSealSaysWhatItKnowsOfABattery() throws IOException {
        SealedLines.Sealed sealed = new SealedLines(
                        keptIn(folder.resolve("seals").toString()))
                .of(battery.id())
                .orElseThrow();
        ChainHead head = ledger.heads().stream()
                .filter(h -> h.batteryId() == battery.id())
                .findFirst()
                .orElseThrow();
        assertThat(sealed)
                .isEqualTo(new SealedLines.Sealed(
                        THEN,
                        head.seq(),
                        head.hash(),
                        seals.newest().orElseThrow().hash()));
        assertThat(new SealedLines(keptIn("")).of(battery.id())).isEmpty();
    }

    private List<String> problems() {
        SealCheck check = seals.check();
        check.take(battery.code(), battery.id(), ledger.written(battery.id()));
        return check.problems().stream()
                .filter(p -> p.arguments().contains(battery.code()))
                .map(SealProblem::key)
                .toList();
    }

    @Test
    void aPastThatNobodyTouchedIsWhole() {
        assertThat(problems()).isEmpty();
        assertThat(past.check(battery.id()).isWhole()).isTrue();
    }

    /** The chain alone cannot tell: it is whole as far as it goes. */
    @Test
    void aPastThatIsCutShortShows() {
        behindTheBack(
                "delete from battery_state where battery_id = {b}",
                "delete from cell_reading where battery_id = {b}",
                "delete from round where battery_id = {b}",
                "delete from ledger_entry where battery_id = {b} and seq > 10");
        assertThat(ledger.check(battery.id()).isWhole()).isTrue();
        assertThat(problems()).containsExactly("seal.gone");
        behindTheBack(
                "delete from battery_state where battery_id = {b}", "delete from ledger_entry where battery_id = {b}");
        assertThat(problems()).containsExactly("seal.gone");
    }

    @Test
    void aPastThatIsWrittenAnewShows() {
        List<WrittenLine> chain = ledger.written(battery.id());
        String previous = chain.get(chain.size() - 4).hash();
        List<String> forged = new ArrayList<>();
        for (WrittenLine line : chain.subList(chain.size() - 3, chain.size())) {
            NewEntry entry = line.entry().at(THEN.plusSeconds(line.seq()));
            String hash = ChainHash.of(previous, battery.id(), line.seq(), line.recordedAt(), entry);
            forged.add("update ledger_entry set happened_at = '"
                    + entry.happenedAt().toString().replace("T", " ").replace("Z", "")
                    + "', previous_hash = '" + previous + "', hash = '" + hash + "' where battery_id = {b} and seq = "
                    + line.seq());
            previous = hash;
        }
        behindTheBack(forged.toArray(String[]::new));
        assertThat(ledger.check(battery.id()).isWhole()).as("the chain alone").isTrue();
        assertThat(problems()).containsExactly("seal.rewritten");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "insert into cell_reading select battery_id, round_id, cell, 1, 1210, too_low, confirmed, temperature_tenths,"
                        + " millivolts, on_charge, level_seen, colour from cell_reading where battery_id = {b} and cell = 7 limit 1",
                "update round set taken_at = taken_at + interval 1 hour where battery_id = {b} limit 1",
                "update round set temperature_tenths = 310 where battery_id = {b} limit 1",
                "update round set temperature_tenths = null where battery_id = {b} limit 1",
                "update round set state = 'AFTER_EQUALISE' where battery_id = {b} limit 1",
                "update round set doubts = 'AFTER_WATER' where battery_id = {b} limit 1",
                "update round set set_aside = '7' where battery_id = {b} limit 1",
                "update round set voided_by = ledger_entry_id where battery_id = {b} limit 1",
                "update cell_reading set sg_points = 1210 where battery_id = {b} and cell = 7 limit 1",
                "delete from cell_reading where battery_id = {b} and cell = 7 limit 1"
            })
    void whatARoundSaysOtherwiseThanItsLineShows(String forgery) {
        assertThat(past.check(battery.id()).isWhole()).isTrue();
        behindTheBack(forgery);
        assertThat(past.check(battery.id()).changedRound()).isNotNull();
        assertThat(problems()).as("the chain is as it was").isEmpty();
    }

    @Test
    void aSealThatWasChangedOrLeftOutShows() throws Exception {
        Path first = folder.resolve("seals/2026-02-03.seal");
        Seals nextDay = new Seals(
                ledger,
                Clock.fixed(THEN.plusSeconds(86_400), ZoneOffset.UTC),
                ZoneOffset.UTC,
                folder.resolve("seals"),
                folder.resolve("seal.key"));
        nextDay.sealToday();
        assertThat(nextDay.check().problems().stream().map(SealProblem::key))
                .doesNotContain("seal.forged", "seal.missing");
        String text = Files.readString(first);
        Files.writeString(first, text.replaceFirst(battery.code() + " (\\d+) \\d+", battery.code() + " $1 3"));
        assertThat(nextDay.check().problems().stream().map(SealProblem::key)).contains("seal.forged");
        Files.delete(first);
        assertThat(nextDay.check().problems().stream().map(SealProblem::key)).contains("seal.missing");
        assertThat(Files.getPosixFilePermissions(folder.resolve("seal.key")))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
    }

    /** The export of one battery, as a file that needs nothing else. */
    @Test
    void anExportProvesItself() throws Exception {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        export.writeTo(all);
        List<String> lines = all.toString(StandardCharsets.UTF_8)
                .lines()
                .filter(line -> line.contains("\"battery\":\"" + battery.code() + "\""))
                .toList();
        SealKey key = SealKey.of(folder.resolve("own.key"), Files.createDirectories(folder.resolve("own")));
        List<ChainHead> head = ledger.heads().stream()
                .filter(h -> h.batteryId() == battery.id())
                .toList();
        String seal = Seal.signed(THEN, Seal.FIRST, head, key.secret()).text().replace("\n", "\\n");
        List<String> file = new ArrayList<>();
        file.add("{\"key\":\"" + key.openText() + "\"}");
        file.add("{\"day\":\"2026-02-03\",\"seal\":\"" + seal + "\"}");
        file.addAll(lines);
        assertThat(verified(file, null)).containsExactly(lines.size() + " lines of 1 batteries held against 1 seals");
        assertThat(verified(file.subList(0, file.size() - 1), null).get(0)).endsWith("is gone");
        List<String> forged = new ArrayList<>(file);
        forged.replaceAll(line -> line.replace("note 3", "note 4"));
        assertThat(verified(forged, null).get(0)).endsWith("is not as it was written");
        assertThat(verified(file.subList(2, file.size()), null).get(0)).contains("there is no seal in it");
        assertThat(verified(file, seals.openKey()).get(0)).contains("not signed with this key");
        assertThat(verified(List.of("Dear Maud"), null).get(0)).contains("is no past exported by Ostendum");
    }

    private List<String> verified(List<String> lines, String key) throws Exception {
        return Verify.of(Files.write(folder.resolve("past.ndjson"), lines), key);
    }

    @Test
    void theSafetyOfficerLooksAtTheWholePast() throws Exception {
        AsPerson oskar = AsPerson.oskar(mvc);
        assertThat(oskar.send("/past").getRedirectedUrl()).isEqualTo("/past");
        Patience.await("the past is looked at", Duration.ofSeconds(60))
                .until(() -> oskar.page("/past").contains("Last look:"));
        assertThat(oskar.page("/past")).contains("There are no seals");
        assertThat(AsPerson.tom(mvc).send("/past").getStatus()).isEqualTo(403);
    }
}
