package org.ostendum.app.notice;

import static org.ostendum.app.db.jooq.Tables.NOTICE;
import static org.ostendum.app.db.jooq.Tables.NOTICE_RULE;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.Telling;
import org.springframework.stereotype.Repository;

/** How people want to be told of alarms, and what was sent to them. */
@Repository
class Notices {
    private static final int LONGEST_FAULT = 300;

    private final DSLContext sql;
    private final Clock clock;

    Notices(DSLContext sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /** @return those that hold, of everybody */
    List<NoticeRule> rules() {
        return rules(DSL.noCondition());
    }

    List<NoticeRule> of(long personId) {
        return rules(NOTICE_RULE.PERSON_ID.eq(personId));
    }

    private List<NoticeRule> rules(Condition which) {
        return sql.selectFrom(NOTICE_RULE)
                .where(NOTICE_RULE.ENDED_AT.isNull().and(which))
                .orderBy(NOTICE_RULE.ID)
                .fetch(Notices::rule);
    }

    private static NoticeRule rule(Record r) {
        String kinds = r.get(NOTICE_RULE.KINDS);
        Set<AlarmKind> chosen = kinds.isEmpty()
                ? Set.of()
                : Arrays.stream(kinds.split(",", -1)).map(AlarmKind::valueOf).collect(Collectors.toSet());
        return new NoticeRule(
                r.get(NOTICE_RULE.ID),
                r.get(NOTICE_RULE.PERSON_ID),
                NoticeRule.Way.valueOf(r.get(NOTICE_RULE.WAY)),
                r.get(NOTICE_RULE.ADDRESS),
                new Telling(
                        chosen,
                        time(r.get(NOTICE_RULE.FROM_MINUTE)),
                        time(r.get(NOTICE_RULE.UNTIL_MINUTE)),
                        Duration.ofMinutes(r.get(NOTICE_RULE.AFTER_MINUTES))),
                r.get(NOTICE_RULE.MADE_AT));
    }

    private static LocalTime time(int minute) {
        return LocalTime.of(minute / 60, minute % 60);
    }

    private static short minute(LocalTime time) {
        return (short) (time.getHour() * 60 + time.getMinute());
    }

    void add(long personId, NoticeRule.Way way, String address, Telling telling) {
        sql.insertInto(NOTICE_RULE)
                .set(NOTICE_RULE.PERSON_ID, personId)
                .set(NOTICE_RULE.WAY, way.name())
                .set(NOTICE_RULE.ADDRESS, address)
                .set(
                        NOTICE_RULE.KINDS,
                        telling.kinds().stream().map(Enum::name).sorted().collect(Collectors.joining(",")))
                .set(NOTICE_RULE.FROM_MINUTE, minute(telling.from()))
                .set(NOTICE_RULE.UNTIL_MINUTE, minute(telling.until()))
                .set(NOTICE_RULE.AFTER_MINUTES, (short) telling.after().toMinutes())
                .set(NOTICE_RULE.MADE_AT, clock.instant())
                .execute();
    }

    void end(long personId, long ruleId) {
        sql.update(NOTICE_RULE)
                .set(NOTICE_RULE.ENDED_AT, clock.instant())
                .where(NOTICE_RULE.ID.eq(ruleId).and(NOTICE_RULE.PERSON_ID.eq(personId)))
                .execute();
    }

    /**
     * How far the telling of one alarm by one rule has come.
     *
     * @param nextAt when it is tried again; null where it was sent or given up
     */
    record Progress(long id, int tries, @Nullable Instant nextAt, boolean sent) {}

    /** @return how far it has come, begun now where it had not */
    Progress progress(long alarmId, long ruleId) {
        Instant now = clock.instant();
        sql.insertInto(NOTICE)
                .set(NOTICE.ALARM_ID, alarmId)
                .set(NOTICE.RULE_ID, ruleId)
                .set(NOTICE.BEGUN_AT, now)
                .set(NOTICE.TRIES, (short) 0)
                .set(NOTICE.NEXT_AT, now)
                .onDuplicateKeyIgnore()
                .execute();
        return sql.selectFrom(NOTICE)
                .where(NOTICE.ALARM_ID.eq(alarmId).and(NOTICE.RULE_ID.eq(ruleId)))
                .fetchSingle(r -> new Progress(r.getId(), r.getTries(), r.getNextAt(), r.getSentAt() != null));
    }

    void sent(long noticeId) {
        sql.update(NOTICE)
                .set(NOTICE.SENT_AT, clock.instant())
                .setNull(NOTICE.NEXT_AT)
                .setNull(NOTICE.FAULT)
                .where(NOTICE.ID.eq(noticeId))
                .execute();
    }

    /** @param tries that have failed, this one with them */
    void failed(long noticeId, int tries, String fault) {
        Instant next = clock.instant().plus(Telling.pauseAfter(tries));
        sql.update(NOTICE)
                .set(NOTICE.TRIES, (short) tries)
                .set(NOTICE.NEXT_AT, tries >= Telling.MOST_TRIES ? null : next)
                .set(NOTICE.FAULT, fault.length() > LONGEST_FAULT ? fault.substring(0, LONGEST_FAULT) : fault)
                .where(NOTICE.ID.eq(noticeId))
                .execute();
    }

    /** What became of one message. */
    record Told(Instant at, String address, @Nullable Instant sentAt, int tries, @Nullable String fault) {}

    /** @return the newest of a person */
    List<Told> newest(long personId, int most) {
        return sql.select(NOTICE.BEGUN_AT, NOTICE_RULE.ADDRESS, NOTICE.SENT_AT, NOTICE.TRIES, NOTICE.FAULT)
                .from(NOTICE)
                .join(NOTICE_RULE)
                .on(NOTICE_RULE.ID.eq(NOTICE.RULE_ID))
                .where(NOTICE_RULE.PERSON_ID.eq(personId))
                .orderBy(NOTICE.ID.desc())
                .limit(most)
                .fetch(r -> new Told(r.value1(), r.value2(), r.value3(), r.value4(), r.value5()));
    }
}
