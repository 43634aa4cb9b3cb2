package org.ostendum.app.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.app.db.jooq.Tables.ALARM;
import static org.ostendum.app.db.jooq.Tables.NOTICE;
import static org.ostendum.app.db.jooq.Tables.NOTICE_RULE;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import java.time.Duration;
import java.util.UUID;
import org.jooq.DSLContext;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.app.alarm.Alarms;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.CalledProgram;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.judge.Message;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** From an alarm on record to the message, and to none where none is wanted. */
class NoticeTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Alarms alarms;

    @Autowired
    private NoticeService service;

    @Autowired
    private DSLContext sql;

    private final String about = "X-" + UUID.randomUUID().toString().substring(0, 8);
    private CalledProgram program;
    private AsPerson maud;

    @BeforeEach
    void begin() throws Exception {
        program = new CalledProgram();
        maud = AsPerson.maud(mvc);
    }

    @AfterEach
    void end() {
        program.close();
        sql.execute("delete from notice");
        sql.execute("delete from notice_rule");
        sql.execute("delete from alarm where about = ?", about);
    }

    private void rule(String way, String address, int minutes) throws Exception {
        maud.send("/me/alarms", "way", way, "address", address, "after", String.valueOf(minutes));
        assertThat(maud.page("/me/alarms")).contains(address);
    }

    private void raise(AlarmKind kind, Duration ago) {
        alarms.raise(
                new Alarm(kind, about, Message.of("alarm.FAN_OFF", about)),
                new Alarms.Belongs(null, null, null),
                TestClock.now().minus(ago));
    }

    private long id() {
        return alarms.open().stream()
                .filter(a -> a.about().equals(about))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void anAlarmIsToldOnce() throws Exception {
        rule("WEBHOOK", program.address(), 0);
        raise(AlarmKind.FAN_OFF, Duration.ZERO);
        service.tell();
        service.tell();
        assertThat(program.calls().stream().filter(c -> c.contains(about)))
                .singleElement()
                .asString()
                .contains("\"kind\":\"FAN_OFF\"", "\"severity\":\"STOP\"");
    }

    @Test
    void whatStoodBeforeOrIsNotGraveIsNotTold() throws Exception {
        raise(AlarmKind.FAN_OFF, Duration.ofSeconds(5));
        rule("WEBHOOK", program.address(), 0);
        service.tell();
        assertThat(program.calls()).noneMatch(c -> c.contains(about));
    }

    @Test
    void theSecondInLineIsToldOnlyWhereNobodyHasSeenIt() throws Exception {
        rule("WEBHOOK", program.address(), 10);
        sql.update(NOTICE_RULE)
                .set(NOTICE_RULE.MADE_AT, TestClock.now().minus(Duration.ofHours(1)))
                .execute();
        raise(AlarmKind.FAN_OFF, Duration.ofMinutes(9));
        service.tell();
        assertThat(program.calls()).noneMatch(c -> c.contains(about));
        sql.update(ALARM)
                .set(ALARM.RAISED_AT, TestClock.now().minusSeconds(660))
                .where(ALARM.ABOUT.eq(about))
                .execute();
        maud.send("/alarms/" + id());
        service.tell();
        assertThat(program.calls()).as("seen").noneMatch(c -> c.contains(about));
        sql.execute("update alarm set acknowledged_at = null, acknowledged_by = null where about = ?", about);
        service.tell();
        assertThat(program.calls()).anyMatch(c -> c.contains(about));
    }

    @Test
    void whatDoesNotGoOutIsTriedAgainLaterAndSaidSo() throws Exception {
        program.answers(500);
        rule("WEBHOOK", program.address(), 0);
        raise(AlarmKind.FAN_OFF, Duration.ZERO);
        service.tell();
        service.tell();
        assertThat(program.calls().stream().filter(c -> c.contains(about)))
                .as("not at once")
                .hasSize(1);
        assertThat(maud.page("/me/alarms")).contains("not sent after one try");
        program.answers(204);
        sql.update(NOTICE).set(NOTICE.NEXT_AT, TestClock.now()).execute();
        service.tell();
        assertThat(program.calls().stream().filter(c -> c.contains(about))).hasSize(2);
        assertThat(maud.page("/me/alarms")).doesNotContain("not sent after");
    }

    @Test
    void mailArrives() throws Exception {
        GreenMail server = new GreenMail(new ServerSetup(MAIL_PORT, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        server.start();
        try {
            rule("MAIL", "night@example.org", 0);
            raise(AlarmKind.FAN_OFF, Duration.ZERO);
            service.tell();
            assertThat(server.waitForIncomingEmail(5000, 1)).isTrue();
            assertThat(server.getReceivedMessages()[0].getSubject()).contains("Fan", about);
            assertThat(GreenMailUtil.getBody(server.getReceivedMessages()[0])).contains(about);
        } finally {
            server.stop();
        }
    }

    @Test
    void aTrialTellsWhetherItWentOut() throws Exception {
        rule("WEBHOOK", program.address(), 0);
        String id = maud.page("/me/alarms").replaceAll("(?s).*/me/alarms/(\\d+)/trial.*", "$1");
        maud.send("/me/alarms/" + id + "/trial");
        assertThat(program.calls()).singleElement().asString().contains("trial");
        assertThat(AsPerson.tom(mvc).send("/me/alarms/" + id + "/trial").getStatus())
                .as("another's")
                .isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource({
        "MAIL, nobody, , 0, is no mail address",
        "WEBHOOK, ftp://example.org/x, , 0, is no address of a program",
        "WEBHOOK, http://example.org/x, 25:00, 0, Hours are written as 22:00",
        "WEBHOOK, http://example.org/x, , 99999, are no minutes"
    })
    void badInputIsNamed(String way, String address, String from, String after, String told) throws Exception {
        var answer = maud.send(
                "/me/alarms", "way", way, "address", address, "from", from == null ? "" : from, "after", after);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(told, "value=\"" + address + "\"");
        assertThat(sql.fetchCount(NOTICE_RULE)).isZero();
    }
}
